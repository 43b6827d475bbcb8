import { Unreachable } from '../api/client.ts'
import type {
  Obstacle,
  PatternKind,
  RockLayoutName,
  ScenePanel,
  StartName,
  Vector,
  FlowDomain,
  ZoneKind,
} from '@yew-basin/core'

export const ZONE_NAMES: Readonly<Record<ZoneKind, string>> = {
  soft: 'Soft corals',
  'large-polyp': 'Large-polyp corals',
  'small-polyp': 'Small-polyp corals',
  sand: 'Sand bed',
  quiet: 'Quiet corner, seahorses',
}

export const PATTERN_NAMES: Readonly<Record<PatternKind, string>> = {
  steady: 'Steady',
  pulse: 'Pulse, on and off',
  alternate: 'In turns',
  reversing: 'Slowly from side to side',
  random: 'By chance',
}

/** How long a work takes. */
export const secondsWords = (s: number) =>
  s < 90 ? `${Math.max(1, Math.round(s))} s` : `${Math.round(s / 60)} min`

export const PANEL_NAMES: Readonly<Record<ScenePanel, string>> = {
  left: 'Left end',
  right: 'Right end',
  front: 'Front pane',
  back: 'Back pane',
}

export const START_WORDS: Readonly<Record<StartName, string>> = {
  one: 'One pump, a round',
  'one-forward': 'One, high and forward',
  'two-facing': 'Two on the ends, in turns',
  'two-offset': 'Two on the ends, offset',
  'two-behind': 'Two on one end, before and behind',
  four: 'Four, ends and back',
  'four-offset': 'Four on the ends, offset',
  'cross-flow': 'A cross-flow sheet',
}

/** What a surface’s speed means. */
export const SURFACE_SAYS = {
  enough: 'enough for gas exchange',
  little: 'little for gas exchange',
  still: 'too still for gas exchange',
} as const

export const LAYOUT_WORDS: Readonly<Record<RockLayoutName, string>> = {
  wall: 'Wall along the back',
  'two-islands': 'Two islands',
  'bommie-with-arch': 'Bommie with an arch',
}

const MET: Readonly<Record<Obstacle, string>> = {
  panel: 'the far panel',
  rock: 'rock',
  sand: 'the sand',
  surface: 'the surface',
  box: 'the overflow box',
}
export const metWords = (met: Obstacle) => MET[met]

export const POSITION_WORDS = {
  'draws-air':
    'Its body stands out of the running water: it draws air, and throws it about. Lower it.',
  'in-sand': 'Its body stands in the sand: lift it.',
} as const

/** Where a place is, as one stands before the tank. */
export function whereWords(at: Vector, domain: FlowDomain): string {
  const third = (m: number, of: number, words: readonly [string, string, string]) =>
    words[Math.min(2, Math.max(0, Math.floor((3 * m) / of)))]!
  const up = third(at.z, domain.depthM, ['low', 'half way up', 'near the surface'])
  const along = third(at.x, domain.lengthM, ['left', 'middle', 'right'])
  const back = third(at.y, domain.widthM, ['front', 'centre', 'back'])
  return `${up}, ${along} ${back}`
}

/** A field that stays on this page only. */
export function notKept(error: Error): string {
  const why = error instanceof Unreachable ? 'The server does not answer.' : error.message
  return `The field could not be kept, and goes when you leave this page. ${why}`
}
