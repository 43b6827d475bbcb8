import type { DrainRole } from '../../design/index.ts'

/** How keepers drain a box. */
export type DrainSchool =
  'vented-standpipe' | 'siphon-emergency' | 'siphon-trickle-emergency' | 'vented-emergency'

/** A way to drain a box: what it wins and what it costs. */
export interface SchoolWords {
  readonly school: DrainSchool
  readonly name: string
  /** What is won and what is paid, in a sentence. */
  readonly trade: string
  readonly roles: readonly DrainRole[]
}

/** The schools, in the order they are offered. */
export const DRAIN_SCHOOLS: readonly SchoolWords[] = [
  {
    school: 'vented-standpipe',
    name: 'One vented standpipe',
    trade:
      'One hole and nothing to tune; it takes little for its bore, grows loud past a third full, and one snail in it stops everything: only the level sensor that is laid with it keeps the floor dry.',
    roles: ['vented'],
  },
  {
    school: 'vented-emergency',
    name: 'Vented standpipe with emergency',
    trade:
      'Nothing to tune, and a second dry pipe takes over; both must be wide, and the vented one is never quite silent.',
    roles: ['vented', 'emergency'],
  },
  {
    school: 'siphon-emergency',
    name: 'Siphon with emergency',
    trade:
      'Silent and strong for its bore; without a trickle the box’s level rests on the valve alone, so it is touchy to tune.',
    roles: ['siphon', 'emergency'],
  },
  {
    school: 'siphon-trickle-emergency',
    name: 'Siphon, trickle and emergency',
    trade:
      'Silent, steady and safe: the trickle takes what the siphon leaves and a third pipe stays dry; it asks for three holes and a box to match.',
    roles: ['siphon', 'trickle', 'emergency'],
  },
]
