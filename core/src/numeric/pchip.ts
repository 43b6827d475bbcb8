/**
 * Shape-preserving piecewise cubic (PCHIP): Fritsch & Butland 1984 weighted harmonic mean for the
 * inner slopes, the three-point shape-preserving formula at the ends, as in SciPy's
 * PchipInterpolator. Two points give a straight line. It never overshoots its data, so a pump
 * curve drawn through falling points falls.
 */
export interface Pchip {
  readonly xs: readonly number[]
  readonly ys: readonly number[]
  /** dy/dx at each point. */
  readonly slopes: readonly number[]
}

/** xs must rise strictly; ys may do anything. */
export function makePchip(xs: readonly number[], ys: readonly number[]): Pchip {
  if (xs.length < 2 || xs.length !== ys.length) {
    throw new RangeError(`a curve needs two points or more, got ${xs.length} x and ${ys.length} y`)
  }
  const widths: number[] = []
  const chords: number[] = []
  for (let i = 0; i + 1 < xs.length; i++) {
    const width = xs[i + 1]! - xs[i]!
    if (!(width > 0)) throw new RangeError(`x must rise: ${xs[i]} is followed by ${xs[i + 1]}`)
    widths.push(width)
    chords.push((ys[i + 1]! - ys[i]!) / width)
  }
  return { xs, ys, slopes: slopesAt(widths, chords) }
}

/** The height of the curve at x; outside its points the end cubics go on. */
export function evaluatePchip(curve: Pchip, x: number): number {
  const { xs, ys, slopes } = curve
  let i = 0
  while (i < xs.length - 2 && x > xs[i + 1]!) i++
  const width = xs[i + 1]! - xs[i]!
  const t = (x - xs[i]!) / width
  const u = 1 - t
  return (
    u * u * ((1 + 2 * t) * ys[i]! + t * width * slopes[i]!) +
    t * t * ((1 + 2 * u) * ys[i + 1]! - u * width * slopes[i + 1]!)
  )
}

/** dy/dx of the curve at x; outside its points the end cubics go on. */
export function pchipSlope(curve: Pchip, x: number): number {
  const { xs, ys, slopes } = curve
  let i = 0
  while (i < xs.length - 2 && x > xs[i + 1]!) i++
  const width = xs[i + 1]! - xs[i]!
  const t = (x - xs[i]!) / width
  const chord = (ys[i + 1]! - ys[i]!) / width
  return (
    6 * t * (1 - t) * chord + (1 - t) * (1 - 3 * t) * slopes[i]! + t * (3 * t - 2) * slopes[i + 1]!
  )
}

function slopesAt(widths: readonly number[], chords: readonly number[]): number[] {
  if (chords.length === 1) return [chords[0]!, chords[0]!]
  const last = chords.length - 1
  const slopes = [endSlope(widths[0]!, widths[1]!, chords[0]!, chords[1]!)]
  for (let i = 1; i <= last; i++) {
    slopes.push(innerSlope(widths[i - 1]!, widths[i]!, chords[i - 1]!, chords[i]!))
  }
  slopes.push(endSlope(widths[last]!, widths[last - 1]!, chords[last]!, chords[last - 1]!))
  return slopes
}

function innerSlope(leftWidth: number, rightWidth: number, left: number, right: number): number {
  if (left * right <= 0) return 0
  const leftWeight = 2 * rightWidth + leftWidth
  const rightWeight = rightWidth + 2 * leftWidth
  return (leftWeight + rightWeight) / (leftWeight / left + rightWeight / right)
}

function endSlope(nearWidth: number, farWidth: number, near: number, far: number): number {
  const slope = ((2 * nearWidth + farWidth) * near - nearWidth * far) / (nearWidth + farWidth)
  if (slope * near <= 0) return 0
  if (near * far <= 0 && Math.abs(slope) > 3 * Math.abs(near)) return 3 * near
  return slope
}
