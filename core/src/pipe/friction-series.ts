import { zeros } from '../numeric/index.ts'

/** Powers of z from nil on that are kept: with |z| ≤ `SERIES_REACH` what is left out is below 1e-14 of f. */
export const SERIES_TERMS = 8
/** How far from its middle a series holds: (Re − Re₀)/(Re + Re₀), so 4 % of Re. */
export const SERIES_REACH = 0.02

/** x = 1/√f, s, dx/dz and (x + L s) dx/dz as series; written and read at once. */
const X = zeros(SERIES_TERMS)
const SMOOTH = zeros(SERIES_TERMS)
const RISE = zeros(SERIES_TERMS)
const PRODUCT = zeros(SERIES_TERMS)

/** Colebrook's law where it is known: 1/√f, b x/(a + b x), and L = 2/ln 10. */
export interface SeriesMiddle {
  readonly x: number
  readonly smooth: number
  readonly log: number
}

/**
 * Colebrook's f near a Reynolds number where it is known, as powers of z = (Re − Re₀)/(Re + Re₀):
 * no logarithm, no search. With x = 1/√f, L = 2/ln 10 and s the smooth wall's share of the
 * logarithm's argument, x + L ln(a + b x) = 0 means (x + L s) dx/d(ln Re) = L s x and
 * ds/dx = (s − 1)/L; d(ln Re) = 2 dz/(1 − z²). Term by term from x and s in the middle.
 *
 * @param into list that the coefficients are written into, from `at` on
 */
export function frictionSeries(middle: SeriesMiddle, into: number[], at: number): void {
  const { x, smooth, log } = middle
  X[0] = x
  SMOOTH[0] = smooth
  into[at] = 1 / (x * x)
  for (let n = 0; n < SERIES_TERMS - 1; n++) {
    let product = 0
    for (let k = 0; k <= n; k++) product += SMOOTH[k]! * X[n - k]!
    // (1 − z²) (x + L s) dx/dz = 2 L s x.
    const right = 2 * log * product + (n < 2 ? 0 : PRODUCT[n - 2]!)
    PRODUCT[n] = right
    let rest = right
    for (let k = 1; k <= n; k++) rest -= (X[k]! + log * SMOOTH[k]!) * RISE[n - k]!
    RISE[n] = rest / (x + log * smooth)
    X[n + 1] = RISE[n]! / (n + 1)
    // f = x⁻², so x df/dz = −2 f dx/dz.
    let perSmooth = -RISE[n]!
    let perFactor = 0
    for (let k = 0; k <= n; k++) {
      perSmooth += SMOOTH[k]! * RISE[n - k]!
      perFactor -= 2 * into[at + k]! * RISE[n - k]!
    }
    SMOOTH[n + 1] = perSmooth / (log * (n + 1))
    for (let k = 1; k <= n; k++) perFactor -= (n - k + 1) * into[at + n - k + 1]! * X[k]!
    into[at + n + 1] = perFactor / ((n + 1) * x)
  }
}

/** The series that begins at a place of a list, at z, and its slope by z, side by side. */
export function seriesAt(list: readonly number[], at: number, z: number, into: number[]): void {
  const c1 = list[at + 1]!
  const c2 = list[at + 2]!
  const c3 = list[at + 3]!
  const c4 = list[at + 4]!
  const c5 = list[at + 5]!
  const c6 = list[at + 6]!
  const c7 = list[at + 7]!
  const z2 = z * z
  const z4 = z2 * z2
  // In pairs, which the processor works out side by side.
  into[0] = list[at]! + c1 * z + (c2 + c3 * z) * z2 + (c4 + c5 * z + (c6 + c7 * z) * z2) * z4
  into[1] = c1 + 2 * c2 * z + (3 * c3 + 4 * c4 * z) * z2 + (5 * c5 + 6 * c6 * z + 7 * c7 * z2) * z4
}
