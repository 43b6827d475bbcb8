import type { Point } from '../../run/index.ts'
import type { Solid } from './solid.ts'

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
  const inTheWay = directions(axis).map((direction) => {
    const points = Array.from({ length: LOOKS }, (_, i) => {
      const r = fromM + (i / (LOOKS - 1)) * (reachM - fromM)
      return moved(at, direction, r)
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

/** Directions round an axis. */
function directions(axis: Point): Point[] {
  const [u, v] = acrossOf(axis)
  return Array.from({ length: ROUND }, (_, k) => {
    const angle = (2 * Math.PI * k) / ROUND
    const [c, s] = [Math.cos(angle), Math.sin(angle)]
    return {
      xM: c * u.xM + s * v.xM,
      yM: c * u.yM + s * v.yM,
      zM: c * u.zM + s * v.zM,
    }
  })
}

const moved = (from: Point, along: Point, byM: number): Point => ({
  xM: from.xM + byM * along.xM,
  yM: from.yM + byM * along.yM,
  zM: from.zM + byM * along.zM,
})

/** Two directions across an axis and each other. */
function acrossOf({ xM, yM, zM }: Point): [Point, Point] {
  const upright = Math.abs(zM) > 0.9 * Math.hypot(xM, yM, zM)
  const aside = upright ? { xM: 1, yM: 0, zM: 0 } : { xM: 0, yM: 0, zM: 1 }
  const u = unit(cross({ xM, yM, zM }, aside))
  return [u, unit(cross({ xM, yM, zM }, u))]
}

const cross = (a: Point, b: Point): Point => ({
  xM: a.yM * b.zM - a.zM * b.yM,
  yM: a.zM * b.xM - a.xM * b.zM,
  zM: a.xM * b.yM - a.yM * b.xM,
})

function unit({ xM, yM, zM }: Point): Point {
  const long = Math.hypot(xM, yM, zM) || 1
  return { xM: xM / long, yM: yM / long, zM: zM / long }
}
