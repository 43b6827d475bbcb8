import type { Point } from '../../run/index.ts'
import type { Solid } from './solid.ts'
import { along, directionsRound } from './space.ts'

/** What a joint is made or undone with. */
export interface Tool {
  /** Free room that it wants beside the joint, m. */
  readonly clearanceM: number
  /** Half its thickness, m. */
  readonly halfM: number
}

/** A wrench beside a nut; a hand beside all else. Their thickness is a choice. */
export const WRENCH: Tool = { clearanceM: 0.06, halfM: 0.008 }
export const HAND: Tool = { clearanceM: 0.08, halfM: 0.015 }

/** Directions round a joint that are looked at; so many beside each other let a tool in and turn: a quarter. */
const ROUND = 16
const OPEN = 5
/** Places along a direction that are looked at, from the joint's outside to the end of the room it wants. */
const LOOKS = 5

/**
 * Ways in to a joint, each a quarter of the circle round it, with what stands in it; no way's list is empty
 * where nothing but that could let a tool in.
 */
export function waysTo(
  at: Point,
  { axis, radiusM, tool }: { readonly axis: Point; readonly radiusM: number; readonly tool: Tool },
  solids: readonly Solid[],
): (readonly Solid[])[] {
  const reachM = radiusM + tool.clearanceM
  const fromM = radiusM + tool.halfM
  const near = solids.filter(({ distanceM }) => distanceM(at) < reachM + tool.halfM)
  if (near.length === 0) return [[]]
  const inTheWay = directionsRound(axis, ROUND).map((direction) => {
    const points = Array.from({ length: LOOKS }, (_, i) => {
      const r = fromM + (i / (LOOKS - 1)) * (reachM - fromM)
      return along(at, direction, r)
    })
    const middle = points[LOOKS >> 1]!
    // What is farther from the middle than the ends are is farther from all of it.
    const farM = tool.halfM + (reachM - fromM) / 2
    return near.filter(({ distanceM }) => {
      const offM = distanceM(middle)
      return (
        offM < tool.halfM || (offM < farM && points.some((point) => distanceM(point) < tool.halfM))
      )
    })
  })
  const beside = Array.from({ length: ROUND }, (_, k) =>
    Array.from({ length: OPEN }, (__, i) => inTheWay[(k + i) % ROUND]!),
  )
  // One way that nothing stands in is enough.
  if (beside.some((way) => way.every(({ length }) => length === 0))) return [[]]
  return beside.map((way) => [...new Set(way.flat())])
}
