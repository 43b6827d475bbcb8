import type { Point } from '../../run/index.ts'

/** So far along a direction, m. */
export const along = (from: Point, direction: Point, byM: number): Point => ({
  xM: from.xM + byM * direction.xM,
  yM: from.yM + byM * direction.yM,
  zM: from.zM + byM * direction.zM,
})

const UP: Point = { xM: 0, yM: 0, zM: 1 }

/** The same direction, of length one; of none: up. */
export function unit({ xM, yM, zM }: Point): Point {
  const long = Math.hypot(xM, yM, zM)
  return long === 0 ? UP : { xM: xM / long, yM: yM / long, zM: zM / long }
}

/** From one place towards another, of length one. */
export const towards = (from: Point, to: Point): Point => unit(along(to, from, -1))

const cross = (a: Point, b: Point): Point => ({
  xM: a.yM * b.zM - a.zM * b.yM,
  yM: a.zM * b.xM - a.xM * b.zM,
  zM: a.xM * b.yM - a.yM * b.xM,
})

/** So many directions across an axis, all the way round. */
export function directionsRound(axis: Point, count: number): Point[] {
  const isUpright = Math.abs(unit(axis).zM) > 0.9
  const u = unit(cross(axis, isUpright ? { xM: 1, yM: 0, zM: 0 } : UP))
  const v = unit(cross(axis, u))
  return Array.from({ length: count }, (_, k) => {
    const angle = (2 * Math.PI * k) / count
    return along(along({ xM: 0, yM: 0, zM: 0 }, u, Math.cos(angle)), v, Math.sin(angle))
  })
}
