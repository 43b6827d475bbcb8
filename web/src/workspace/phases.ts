import { STATIONS } from './stations.ts'

/** A view of a basin: its place under the basin's address. */
export interface PhaseView {
  readonly path: string
  readonly label: string
}

/** A part of the job, with its views in the order of the work. */
export interface Phase {
  readonly id: 'design' | 'prove' | 'build'
  readonly label: string
  readonly views: readonly PhaseView[]
}

/** Where the water's way stands: the address of the basin itself, or of a stop. */
export const WAY = ''

/** The phases that have a view. */
export const PHASES: readonly Phase[] = [
  {
    id: 'design',
    label: 'Design',
    views: [
      { path: WAY, label: 'Water’s way' },
      { path: 'currents', label: 'Currents' },
      { path: 'room', label: 'Room' },
      { path: 'pumps', label: 'Pumps' },
      { path: 'size', label: 'Choose for me' },
    ],
  },
  { id: 'prove', label: 'Prove', views: [{ path: 'drills', label: 'Drills' }] },
  {
    id: 'build',
    label: 'Build',
    views: [
      { path: 'buy', label: 'To buy' },
      { path: 'cuts', label: 'Cuts' },
      { path: 'order', label: 'Order' },
      { path: 'comes-apart', label: 'Comes apart' },
      { path: 'holes', label: 'Holes' },
      { path: 'panels', label: 'Panels' },
      { path: 'before-water', label: 'Before water' },
    ],
  },
]

/** The view that a place under a basin's address belongs to: every stop is of the water's way. */
export function viewPathOf(place: string): string {
  return (STATIONS as readonly string[]).includes(place) ? WAY : place
}

/** The phase of a place under a basin's address. */
export function phaseOf(place: string): Phase {
  const path = viewPathOf(place)
  return PHASES.find(({ views }) => views.some((view) => view.path === path)) ?? PHASES[0]!
}
