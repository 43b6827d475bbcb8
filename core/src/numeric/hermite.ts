/** One end of a cubic: its place, its height and its slope there. */
export interface CubicEnd {
  readonly x: number
  readonly y: number
  readonly slope: number
}

/** The cubic through both ends with both slopes (Hermite form), at x between them. */
export function cubicHermite(from: CubicEnd, to: CubicEnd, x: number): number {
  const width = to.x - from.x
  const t = (x - from.x) / width
  const u = 1 - t
  return (
    u * u * ((1 + 2 * t) * from.y + t * width * from.slope) +
    t * t * ((1 + 2 * u) * to.y - u * width * to.slope)
  )
}

/** dy/dx of the same cubic. */
export function cubicHermiteSlope(from: CubicEnd, to: CubicEnd, x: number): number {
  const width = to.x - from.x
  const t = (x - from.x) / width
  const chord = (to.y - from.y) / width
  return 6 * t * (1 - t) * chord + (1 - t) * (1 - 3 * t) * from.slope + t * (3 * t - 2) * to.slope
}
