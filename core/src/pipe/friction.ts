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
  const at = frictionSearch()
  frictionAt(re, relativeRoughness, at)
  return at.factor
}

/**
 * Somebody's search for the friction along one wall, to be asked again and again: a friction factor
 * with its slope, written into by `frictionAt`, and where the next search begins. Never shared.
 */
export interface FrictionSearch {
  factor: number
  /** df/d(ln Re). */
  slope: number
  /** 1/√f of the last turbulent flow asked for; 0: none yet. */
  inverseRoot: number
  /** An argument of Colebrook's logarithm that was near, and 2 log₁₀ of it. */
  anchor: number
  anchorLog: number
}

/** A search that was asked nothing yet. */
export function frictionSearch(): FrictionSearch {
  // Fractions, so that every field holds a double from the first.
  return { factor: 0.5, slope: 0.5, inverseRoot: 0.5, anchor: 0.5, anchorLog: ANCHOR_LOG }
}

/** The Darcy friction factor and its slope at once, for a solver; the same law as `frictionFactor`. */
export function frictionAt(re: number, relativeRoughness: number, into: FrictionSearch): void {
  if (re <= LAMINAR_UP_TO_RE) {
    into.factor = 64 / re
    into.slope = -into.factor
  } else if (re >= TURBULENT_FROM_RE) {
    colebrook(re, relativeRoughness, into)
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

function transitionAt(re: number, relativeRoughness: number, into: FrictionSearch): void {
  colebrook(TURBULENT_FROM_RE, relativeRoughness, into)
  const end = {
    x: TURBULENT_FROM_RE,
    y: into.factor,
    slope: into.slope / TURBULENT_FROM_RE,
  }
  into.factor = cubicHermite(LAMINAR_END, end, re)
  into.slope = cubicHermiteSlope(LAMINAR_END, end, re) * re
}

/** 2/ln 10: −2 log₁₀ written with natural logarithms. */
const TWO_OVER_LN10 = 2 / Math.LN10
const ANCHOR_LOG = TWO_OVER_LN10 * Math.log(0.5)
/**
 * A step this small in 1/√f is the last: Halley's error falls as step³ times less than 1e-3 here
 * ((F″/2F′)² of the equation below over the range of pipes), so what is left is below 1e-14.
 */
const LAST_STEP = 2e-4
/** Past this (ratio − 1)/(ratio + 1) the series for a logarithm is left for the logarithm itself. */
const NEAR_ANCHOR = 0.05

/**
 * x = 1/√f of 1/√f = −2 log₁₀(ε/(3.7 D) + 2.51/(Re √f)), Colebrook 1939, by Halley's method
 * (the curvature costs no further logarithm) from where the last search ended, or from Haaland's
 * explicit formula (1983). The logarithm is taken from one that was near: ln(r) = 2 artanh z,
 * z = (r − 1)/(r + 1), five terms of its series, 1e-15 off at most.
 */
function colebrook(re: number, relativeRoughness: number, into: FrictionSearch): void {
  const a = relativeRoughness / 3.7
  const b = 2.51 / re
  let x =
    into.inverseRoot > 1 ? into.inverseRoot : (-1.8 / Math.LN10) * Math.log(a ** 1.11 + 6.9 / re)
  let inside = a + b * x
  for (let i = 0; i < 20; i++) {
    const residual = x + logNear(inside, into)
    const bend = (TWO_OVER_LN10 * b) / inside
    const slope = 1 + bend
    // Curvature −bend²/TWO_OVER_LN10.
    const step =
      (2 * residual * slope) / (2 * slope * slope + (residual * bend * bend) / TWO_OVER_LN10)
    x -= step
    inside = a + b * x
    if (step < LAST_STEP && step > -LAST_STEP) break
  }
  into.inverseRoot = x
  // dx/d(ln Re) = bend x/(1 + bend), by the implicit function theorem; f = x⁻².
  const bend = (TWO_OVER_LN10 * b) / inside
  const factor = 1 / (x * x)
  into.factor = factor
  into.slope = (-2 * factor * bend) / (1 + bend)
}

/** 2 log₁₀ of a number, from a logarithm near it. */
function logNear(inside: number, search: FrictionSearch): number {
  const { anchor } = search
  const z = (inside - anchor) / (inside + anchor)
  if (z > NEAR_ANCHOR || z < -NEAR_ANCHOR) {
    const log = TWO_OVER_LN10 * Math.log(inside)
    search.anchor = inside
    search.anchorLog = log
    return log
  }
  const z2 = z * z
  const artanh = z * (1 + z2 * (1 / 3 + z2 * (1 / 5 + z2 * (1 / 7 + z2 / 9))))
  return search.anchorLog + 2 * TWO_OVER_LN10 * artanh
}
