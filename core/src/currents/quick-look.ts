import { type Jet, jetSpeedAt, sectionOf, throwOf, type Vector } from '../jet/index.ts'
import { isInside } from '../scene/index.ts'
import { holds } from './grid.ts'
import type { FlowDomain } from './flow-domain.ts'

/** What a stream runs against. */
export type Obstacle = 'panel' | 'rock' | 'sand' | 'surface' | 'box'

/** One stream by the jet laws alone: how far it runs and what it meets. */
export interface Reach {
  readonly streamId: string
  readonly jet: Jet
  /** Along its middle line to what it meets. */
  readonly lengthM: number
  readonly meets: Obstacle
  /** The rock it meets; null: none. */
  readonly rockId: string | null
  readonly end: Vector
  /** On its middle line where it meets that. */
  readonly endMPerS: number
  /** How far it would still run at 10 cm/s in open water. */
  readonly throwM: number
}

const STEP_M = 0.005
const FELT_M_PER_S = 0.1

/** How far a stream carries, and what it meets first, by the law of a free jet. */
export function reachOf(domain: FlowDomain, streamId: string, jet: Jet): Reach {
  const most = Math.hypot(domain.lengthM, domain.widthM, domain.depthM)
  let lengthM = STEP_M
  let met = obstacleAt(domain, alongJet(jet, lengthM))
  while (!met && lengthM < most) {
    lengthM += STEP_M
    met = obstacleAt(domain, alongJet(jet, lengthM))
  }
  return {
    streamId,
    jet,
    lengthM,
    meets: met?.kind ?? 'panel',
    rockId: met?.rockId ?? null,
    end: alongJet(jet, lengthM),
    endMPerS: sectionOf(jet, lengthM).centrelineMPerS,
    throwM: throwOf(jet, FELT_M_PER_S),
  }
}

/** The reach of every stream in the water. */
export function reaches(domain: FlowDomain): Reach[] {
  return domain.streams.map(({ id, jet }) => reachOf(domain, id, jet))
}

/** Both edges of a stream at places along it: where it falls to 1/e of its middle. */
export function envelopeOf(reach: Reach, count = 12): { atM: number; halfM: number }[] {
  const { jet } = reach
  const open = jet.slot ? jet.slot.widthM / 2 : jet.boreM / 2
  return Array.from({ length: count + 1 }, (_, i) => {
    const atM = (reach.lengthM * i) / count
    return { atM, halfM: Math.max(open, atM > 0 ? sectionOf(jet, atM).halfWidthM : 0) }
  })
}

/** The place so many metres along a jet's axis. */
export function alongJet({ from, towards }: Jet, m: number): Vector {
  return { x: from.x + towards.x * m, y: from.y + towards.y * m, z: from.z + towards.z * m }
}

function obstacleAt(
  domain: FlowDomain,
  { x, y, z }: Vector,
): { readonly kind: Obstacle; readonly rockId: string | null } | null {
  const rock = domain.rocks.find((solid) => isInside(solid, x, y, z))
  if (rock) return { kind: 'rock', rockId: rock.id }
  if (z >= domain.depthM) return { kind: 'surface', rockId: null }
  if (z <= domain.sandDepthM)
    return { kind: domain.sandDepthM > 0 ? 'sand' : 'panel', rockId: null }
  if (x <= 0 || y <= 0 || x >= domain.lengthM || y >= domain.widthM)
    return { kind: 'panel', rockId: null }
  if (domain.box && holds(domain.box, x, y, z)) return { kind: 'box', rockId: null }
  return null
}

/**
 * Speed at a place by the jets alone: each as far as it runs, their momenta added. What turns round
 * at the panels and comes back is not in it; a share of the streams' own pace stands for that.
 */
export function quickSpeedAt(reached: readonly Reach[], backgroundMPerS: number, place: Vector) {
  let sum = backgroundMPerS ** 2
  for (const { jet, lengthM } of reached) {
    const out =
      (place.x - jet.from.x) * jet.towards.x +
      (place.y - jet.from.y) * jet.towards.y +
      (place.z - jet.from.z) * jet.towards.z
    if (out > 0 && out <= lengthM) sum += jetSpeedAt(jet, place) ** 2
  }
  return Math.sqrt(sum)
}
