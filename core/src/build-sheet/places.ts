import type { Point } from '../run/index.ts'
import type { BuiltRun } from './route/body.ts'

/** What is drawn for a piece that has no length, m: its two ends can be told apart. */
const LEAST_DRAWN_M = 0.01

/**
 * Where each body of a route stands: corners where they were laid, what is in line between two of them as far
 * along as its lengths say.
 */
export function placesOf({ bodies, segments }: BuiltRun): Point[] {
  const places: Point[] = bodies.map(({ at }) => at)
  const lengthsM = segments.map(({ lengthM }) => Math.max(lengthM, LEAST_DRAWN_M))
  let corner = 0
  for (let i = 1; i < bodies.length; i++) {
    if (!bodies[i]!.isCorner && i < bodies.length - 1) continue
    const totalM = sum(lengthsM, corner, i)
    for (let k = corner + 1; k < i; k++)
      places[k] = between(bodies[corner]!.at, bodies[i]!.at, sum(lengthsM, corner, k) / totalM)
    corner = i
  }
  return places
}

function sum(values: readonly number[], from: number, to: number): number {
  let total = 0
  for (let i = from; i < to; i++) total += values[i]!
  return total
}

const between = (a: Point, b: Point, share: number): Point => ({
  xM: a.xM + share * (b.xM - a.xM),
  yM: a.yM + share * (b.yM - a.yM),
  zM: a.zM + share * (b.zM - a.zM),
})
