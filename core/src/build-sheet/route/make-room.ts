import { type OwnTakeOff, rowM } from '../../fitting/index.ts'
import { spigotSpanM } from './spigot.ts'
import { type Body, type BuiltRun, type Span, TAKE_OFF_OF } from './body.ts'

/** Segments drawn shorter than this have their two fittings at one place, m. */
const AT_ONE_PLACE_M = 1e-6

/**
 * A drawing has no length for a union or a valve: two that stand side by side stand at one place. Here they
 * are drawn apart by the shortest piece that can be glued and sawn out again; the longest stretches of the
 * same straight leg give what they take, so that every leg stays as long as it was drawn. Where a leg has
 * not so much they stay, and the cut says that it is too short.
 */
export function withRoom(route: BuiltRun, own: readonly OwnTakeOff[]): BuiltRun {
  const segments = [...route.segments]
  const leastM = route.segments.map(
    (segment, i) => spigotSpanM(route, i, own) ?? stubM(route.bodies, i, segment, own),
  )
  for (const [from, to] of legsOf(route))
    for (let i = from; i < to; i++) {
      const segment = segments[i]!
      if (segment.kind === 'hose' || segment.lengthM > AT_ONE_PLACE_M) continue
      const givers = giversOf(segments, leastM, from, to)
      const room = givers.reduce((sum, k) => sum + segments[k]!.lengthM - leastM[k]!, 0)
      if (room < leastM[i]!) continue
      segments[i] = longer(segment, leastM[i]!)
      let wantedM = leastM[i]!
      for (const giver of givers) {
        const givesM = Math.min(wantedM, segments[giver]!.lengthM - leastM[giver]!)
        segments[giver] = longer(segments[giver]!, -givesM)
        wantedM -= givesM
      }
    }
  return { ...route, segments }
}

/** Straight legs, as the first segment of each and the one past its last. */
function legsOf({ bodies }: BuiltRun): [number, number][] {
  const corners = bodies.flatMap(({ isCorner }, i) => (isCorner ? [i] : []))
  return corners.slice(1).map((corner, k) => [corners[k]!, corner])
}

function stubM(
  bodies: readonly Body[],
  i: number,
  { size, kind }: Span,
  own: readonly OwnTakeOff[],
): number {
  if (kind === 'hose') return 0
  return rowM([TAKE_OFF_OF[bodies[i]!.kind], TAKE_OFF_OF[bodies[i + 1]!.kind]], size, own)
}

/** Stretches of a leg that are longer than they must be, the longest first. */
function giversOf(
  segments: readonly Span[],
  leastM: readonly number[],
  from: number,
  to: number,
): number[] {
  return Array.from({ length: to - from }, (_, k) => from + k)
    .filter((i) => segments[i]!.kind === 'pipe' && segments[i]!.lengthM > leastM[i]!)
    .sort((a, b) => segments[b]!.lengthM - segments[a]!.lengthM)
}

const longer = (segment: Span, byM: number): Span => ({
  ...segment,
  lengthM: segment.lengthM + byM,
})
