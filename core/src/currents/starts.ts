import { toMillimetre } from '../quantity/index.ts'
import type { CirculationPart, CirculationPump, Pattern, ScenePanel } from '../scene/index.ts'
import { reachOf } from './quick-look.ts'
import type { FlowDomain } from './flow-domain.ts'
import { aimedAt, openingOf, pumpStream } from './streams.ts'

/** Arrangements of pumps to begin from. */
export type StartName =
  | 'one'
  | 'one-forward'
  | 'two-facing'
  | 'two-offset'
  | 'two-behind'
  | 'four'
  | 'four-offset'
  | 'cross-flow'

/** A layout to begin from. */
export interface Start {
  readonly name: StartName
  readonly reason: string
  readonly pumps: readonly CirculationPump[]
}

/** A mounting position by shares of the panel's width and of the water over the sand, and what it looks at by shares of the tank. */
interface MountingPosition {
  readonly panel: ScenePanel
  readonly along: number
  readonly up: number
  readonly at: readonly [number, number, number]
  readonly group: Pattern['group']
  readonly upright?: boolean
  /** It is meant to run into the rock: nothing lifts it over. */
  readonly toRock?: boolean
}

const position = (
  panel: ScenePanel,
  {
    along,
    up,
    at,
    group = 'first',
  }: {
    readonly along: number
    readonly up: number
    readonly at: MountingPosition['at']
    readonly group?: Pattern['group']
  },
): MountingPosition => ({ panel, along, up, at, group })

/** High and forward, along the front pane: the stream that turns the whole water. */
const HIGH_FORWARD = { along: 0.26, up: 0.78 } as const
/** Low and toward the rock, into its middle: what stirs the water behind it and over the floor. */
const LOW_TO_ROCK = { along: 0.62, up: 0.32 } as const

const STARTS: Readonly<
  Record<StartName, { reason: string; kind: Pattern['kind']; positions: MountingPosition[] }>
> = {
  one: {
    reason:
      'From a back corner along the front pane: one stream that turns the whole water round the rock, and comes back behind it.',
    kind: 'steady',
    positions: [position('left', { along: 0.72, up: 0.72, at: [1, 0.22, 0.68] })],
  },
  'one-forward': {
    reason:
      'High and forward on one end, along the front pane: the surface is moved most, and the round comes back low behind the rock.',
    kind: 'steady',
    positions: [position('left', { ...HIGH_FORWARD, at: [1, 0.2, 0.74] })],
  },
  'two-facing': {
    reason:
      'On both ends, high, in turns: each drives its round while the other rests, so every side of the rock gets its share.',
    kind: 'alternate',
    positions: [
      position('left', { along: 0.6, up: 0.72, at: [1, 0.25, 0.7] }),
      position('right', { along: 0.6, up: 0.72, at: [0, 0.25, 0.7], group: 'second' }),
    ],
  },
  'two-offset': {
    reason:
      'Offset: one end high and forward, the other low and toward the rock. The streams pass each other instead of meeting, so neither stops the other.',
    kind: 'steady',
    positions: [
      position('left', { ...HIGH_FORWARD, at: [1, 0.2, 0.74] }),
      {
        ...position('right', { ...LOW_TO_ROCK, at: [0.4, 0.6, 0.28], group: 'second' }),
        toRock: true,
      },
    ],
  },
  'two-behind': {
    reason:
      'Both on one end: the upper one along the front pane, the lower one behind the rock, where waste would settle.',
    kind: 'steady',
    positions: [
      position('left', { along: 0.3, up: 0.74, at: [1, 0.2, 0.72] }),
      position('left', { along: 0.86, up: 0.35, at: [1, 0.88, 0.35] }),
    ],
  },
  four: {
    reason:
      'Two high on the ends for the round, two low on the back pane to keep the water behind the rock moving.',
    kind: 'alternate',
    positions: [
      position('left', { along: 0.4, up: 0.75, at: [1, 0.22, 0.72] }),
      position('right', { along: 0.4, up: 0.75, at: [0, 0.22, 0.72], group: 'second' }),
      position('back', { along: 0.12, up: 0.35, at: [0.7, 0.88, 0.3] }),
      position('back', { along: 0.88, up: 0.35, at: [0.3, 0.88, 0.3], group: 'second' }),
    ],
  },
  'four-offset': {
    reason:
      'On each end one high and forward and one low and toward the rock, the ends mirrored and in turns: from either side the whole round, and no corner that stays still.',
    kind: 'alternate',
    positions: [
      position('left', { ...HIGH_FORWARD, at: [1, 0.2, 0.74] }),
      { ...position('left', { ...LOW_TO_ROCK, at: [0.6, 0.6, 0.28] }), toRock: true },
      position('right', { ...HIGH_FORWARD, at: [0, 0.2, 0.74], group: 'second' }),
      {
        ...position('right', { ...LOW_TO_ROCK, at: [0.4, 0.6, 0.28], group: 'second' }),
        toRock: true,
      },
    ],
  },
  'cross-flow': {
    reason:
      'A broad sheet of water along the front pane from one end: gentle over a wide front, it turns the whole water like a wheel.',
    kind: 'steady',
    positions: [{ ...position('left', { along: 0.3, up: 0.6, at: [1, 0.3, 0.6] }), upright: true }],
  },
}

/** Their names in the order they are offered. */
export const START_NAMES = Object.keys(STARTS) as StartName[]

/** Tries to lift a stream over what it runs into, in steps of the water's depth. */
const LIFTS = [0, 0.08, 0.15, -0.1]

/** A start for this tank and its rock, from one part. */
export function startLayout(
  name: StartName,
  domain: FlowDomain,
  part: CirculationPart,
  newId: () => string,
): Start {
  const { reason, kind, positions } = STARTS[name]
  const pumps = positions.map((mounting, i) =>
    mounted(mounting, { kind, domain, part, id: newId(), index: i }),
  )
  return { name, reason, pumps }
}

function mounted(
  mounting: MountingPosition,
  {
    kind,
    domain,
    part,
    id,
    index,
  }: {
    readonly kind: Pattern['kind']
    readonly domain: FlowDomain
    readonly part: CirculationPart
    readonly id: string
    readonly index: number
  },
): CirculationPump {
  const lifts = mounting.toRock ? [0] : LIFTS
  const tries = lifts.map((lift) => pumpAt(mounting, { lift, kind, domain, part, id, index }))
  const clear = tries.find((pump) => {
    const met = reachOf(domain, id, pumpStream(pump, domain).jet)
    return met.meets === 'panel'
  })
  return clear ?? tries[0]!
}

function pumpAt(
  { panel, along, up, at, group, upright }: MountingPosition,
  {
    lift,
    kind,
    domain,
    part,
    id,
    index,
  }: {
    readonly lift: number
    readonly kind: Pattern['kind']
    readonly domain: FlowDomain
    readonly part: CirculationPart
    readonly id: string
    readonly index: number
  },
): CirculationPump {
  const { lengthM, widthM, depthM, sandDepthM } = domain
  const wideM = panel === 'left' || panel === 'right' ? widthM : lengthM
  const heightM = (share: number) => sandDepthM + share * (depthM - sandDepthM)
  const pump: CirculationPump = {
    id,
    name: `${part.form === 'jet' ? 'Jet' : 'Cross-flow'} ${index + 1}`,
    part,
    panel,
    alongM: within(along * wideM, part.bodyM / 2, wideM - part.bodyM / 2),
    upM: within(heightM(up + lift), sandDepthM + part.bodyM / 2, depthM - part.bodyM),
    turnDeg: 0,
    tiltDeg: 0,
    upright: upright ?? false,
    speed: part.control === 'fixed-speed' ? 1 : Math.max(part.leastSpeed, 0.7),
    pattern: {
      kind: part.control === 'fixed-speed' && kind !== 'steady' ? 'steady' : kind,
      periodS: 12,
      low: 0.3,
      group,
    },
  }
  const target = { x: at[0] * lengthM, y: at[1] * widthM, z: heightM(at[2] + lift) }
  const { turnDeg, tiltDeg } = aimedAt(panel, openingOf(pump, domain), target)
  return { ...pump, turnDeg: Math.round(turnDeg), tiltDeg: Math.round(tiltDeg) }
}

function within(at: number, least: number, most: number): number {
  return toMillimetre(Math.max(least, Math.min(most, at)))
}
