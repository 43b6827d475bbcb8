import { cubicHermite, cubicHermiteSlope } from '../numeric/index.ts'

/** Below this the flow is laminar; above the other it is turbulent; a cubic joins them. */
export const LAMINAR_UP_TO_RE = 2000
const TURBULENT_FROM_RE = 4000

/** How water flows in a pipe. */
export type Regime = 'laminar' | 'transition' | 'turbulent'

/** The regime at a Reynolds number. */
export function regimeAt(re: number): Regime {
  if (re <= LAMINAR_UP_TO_RE) return 'laminar'
  return re < TURBULENT_FROM_RE ? 'transition' : 'turbulent'
}

/**
 * Darcy friction factor. Laminar 64/Re; Colebrook–White from Re 4000; between them the cubic in
 * Re that meets both ends in value and slope, so that a solver never sees a kink.
 *
 * @param re Reynolds number on the true bore, above 0
 * @param relativeRoughness ε/D
 */
export function frictionFactor(re: number, relativeRoughness: number): number {
  const at: FrictionAt = { factor: 0, slope: 0, inverseRoot: 0 }
  frictionAt(re, relativeRoughness, at)
  return at.factor
}

/** A friction factor with its slope df/dRe, written into by `frictionAt`. */
export interface FrictionAt {
  factor: number
  slope: number
  /** 1/√f of the last turbulent flow asked for, where the next search begins; 0: none yet. */
  inverseRoot: number
}

/** The Darcy friction factor and its slope at once, for a solver; the same law as `frictionFactor`. */
export function frictionAt(re: number, relativeRoughness: number, into: FrictionAt): void {
  if (re <= LAMINAR_UP_TO_RE) {
    into.factor = 64 / re
    into.slope = -64 / (re * re)
  } else if (re >= TURBULENT_FROM_RE) {
    const x = inverseRoot(re, relativeRoughness, into.inverseRoot)
    into.inverseRoot = x
    into.factor = 1 / (x * x)
    into.slope = colebrookSlope(re, relativeRoughness, x)
  } else {
    transitionAt(re, relativeRoughness, into)
  }
}

/** Where laminar flow ends: f = 64/Re and its slope. */
const LAMINAR_END = {
  x: LAMINAR_UP_TO_RE,
  y: 64 / LAMINAR_UP_TO_RE,
  slope: -64 / LAMINAR_UP_TO_RE ** 2,
}

function transitionAt(re: number, relativeRoughness: number, into: FrictionAt): void {
  const x = inverseRoot(TURBULENT_FROM_RE, relativeRoughness, into.inverseRoot)
  into.inverseRoot = x
  const end = {
    x: TURBULENT_FROM_RE,
    y: 1 / (x * x),
    slope: colebrookSlope(TURBULENT_FROM_RE, relativeRoughness, x),
  }
  into.factor = cubicHermite(LAMINAR_END, end, re)
  into.slope = cubicHermiteSlope(LAMINAR_END, end, re)
}

/** 2/ln 10: −2 log₁₀ written with natural logarithms. */
const TWO_OVER_LN10 = 2 / Math.LN10
/**
 * A step this small in 1/√f is the last: Halley's error falls as step³ times less than 1e-3 here
 * ((F″/2F′)² of the equation below over the range of pipes), so what is left is below 1e-14.
 */
const LAST_STEP = 2e-4

/**
 * x = 1/√f of 1/√f = −2 log₁₀(ε/(3.7 D) + 2.51/(Re √f)), Colebrook 1939, by Halley's method
 * (the curvature costs no further logarithm) from a value near it, or from Haaland's explicit
 * formula (1983).
 */
function inverseRoot(re: number, relativeRoughness: number, near: number): number {
  const a = relativeRoughness / 3.7
  const b = 2.51 / re
  let x = near > 1 ? near : (-1.8 / Math.LN10) * Math.log(a ** 1.11 + 6.9 / re)
  for (let i = 0; i < 20; i++) {
    const inside = a + b * x
    const residual = x + TWO_OVER_LN10 * Math.log(inside)
    const bend = b / inside
    const slope = 1 + TWO_OVER_LN10 * bend
    const curvature = -TWO_OVER_LN10 * bend * bend
    const step = (2 * residual * slope) / (2 * slope * slope - residual * curvature)
    x -= step
    if (Math.abs(step) < LAST_STEP) break
  }
  return x
}

/** df/dRe along Colebrook–White, by the implicit function theorem on F(x, Re) = 0. */
function colebrookSlope(re: number, relativeRoughness: number, x: number): number {
  const b = 2.51 / re
  const inside = relativeRoughness / 3.7 + b * x
  const dFdx = 1 + (TWO_OVER_LN10 * b) / inside
  const dFdRe = (-TWO_OVER_LN10 * b * x) / (inside * re)
  return (2 / (x * x * x)) * (dFdRe / dFdx)
}
