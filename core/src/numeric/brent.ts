import { converged, notConverged, type Outcome } from './outcome.ts'

/** Why a bracketed search gives no root. */
export type RootFailure = 'not-bracketed' | 'too-many-iterations'

/** How near a root must be found, and in how many steps at most. */
export interface BrentOptions {
  /** The search stops when the bracket is this narrow (in the units of x). */
  readonly tolerance: number
  readonly maxIterations?: number
}

/**
 * The x in [low, high] where f(x) = 0, by Brent's method (R. P. Brent 1973, "Algorithms for
 * Minimization without Derivatives", ch. 4): inverse quadratic interpolation or a secant, with
 * bisection whenever those would leave the bracket or shrink it too slowly.
 *
 * f must have opposite signs at the ends; otherwise the outcome is `not-bracketed`.
 */
export function brent(
  f: (x: number) => number,
  low: number,
  high: number,
  { tolerance, maxIterations = 100 }: BrentOptions,
): Outcome<number, RootFailure> {
  if (!Number.isFinite(low) || !Number.isFinite(high)) {
    throw new RangeError(`brent needs finite bounds, got ${low} and ${high}`)
  }
  // b is the best guess, a the previous one, c the other side of the bracket.
  let a = low
  let b = high
  let fa = f(a)
  let fb = f(b)
  if (fa === 0) return converged(a, 0)
  if (fb === 0) return converged(b, 0)
  if (fa > 0 === fb > 0) return notConverged('not-bracketed', 0)
  let c = a
  let fc = fa
  let step = b - a
  let previousStep = step

  for (let iteration = 1; iteration <= maxIterations; iteration++) {
    if (Math.abs(fc) < Math.abs(fb)) {
      a = b
      b = c
      c = a
      fa = fb
      fb = fc
      fc = fa
    }
    const closeEnough = 2 * Number.EPSILON * Math.abs(b) + tolerance / 2
    const half = (c - b) / 2
    if (Math.abs(half) <= closeEnough || fb === 0) return converged(b, iteration)

    // The step from b that a secant (two places) or an inverse parabola (three) proposes.
    const s = fb / fa
    const q = fa / fc
    const r = fb / fc
    const tried =
      a === c
        ? ((c - b) * s) / (s - 1)
        : (s * ((b - a) * (r - 1) - (c - b) * q * (q - r))) / ((q - 1) * (r - 1) * (s - 1))
    const accepts =
      Math.abs(previousStep) >= closeEnough &&
      Math.abs(fa) > Math.abs(fb) &&
      2 * Math.abs(tried) < Math.min(3 * Math.abs(half) - closeEnough, Math.abs(previousStep)) &&
      tried > 0 === half > 0
    previousStep = accepts ? step : half
    step = accepts ? tried : half

    a = b
    fa = fb
    b += Math.abs(step) > closeEnough ? step : Math.sign(half) * closeEnough
    fb = f(b)
    if (fb > 0 === fc > 0) {
      c = a
      fc = fa
      step = b - a
      previousStep = step
    }
  }
  return notConverged('too-many-iterations', maxIterations)
}
