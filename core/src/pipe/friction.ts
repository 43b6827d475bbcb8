import { cubicHermite } from '../numeric/hermite.ts'

/** Below this the flow is laminar; above the other it is turbulent; a cubic joins them. */
const LAMINAR_UP_TO_RE = 2000
const TURBULENT_FROM_RE = 4000

export type Regime = 'laminar' | 'transition' | 'turbulent'

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
  if (re <= LAMINAR_UP_TO_RE) return 64 / re
  if (re >= TURBULENT_FROM_RE) return colebrook(re, relativeRoughness)
  const end = colebrook(TURBULENT_FROM_RE, relativeRoughness)
  return cubicHermite(
    { x: LAMINAR_UP_TO_RE, y: 64 / LAMINAR_UP_TO_RE, slope: -64 / LAMINAR_UP_TO_RE ** 2 },
    {
      x: TURBULENT_FROM_RE,
      y: end,
      slope: colebrookSlope(TURBULENT_FROM_RE, relativeRoughness, end),
    },
    re,
  )
}

/** 2/ln 10: −2 log₁₀ written with natural logarithms. */
const TWO_OVER_LN10 = 2 / Math.LN10
/** Stop when 1/√f moves by less than this: |Δf| = 2 f^1.5 |Δx|, so f is good to 1e-13 at worst. */
const SETTLED = 1e-12

/**
 * 1/√f = −2 log₁₀(ε/(3.7 D) + 2.51/(Re √f)), Colebrook 1939, by Newton on x = 1/√f from
 * Haaland's explicit formula (1983).
 */
function colebrook(re: number, relativeRoughness: number): number {
  const a = relativeRoughness / 3.7
  const b = 2.51 / re
  let x = (-1.8 / Math.LN10) * Math.log(a ** 1.11 + 6.9 / re)
  for (let i = 0; i < 20; i++) {
    const inside = a + b * x
    const residual = x + TWO_OVER_LN10 * Math.log(inside)
    const step = residual / (1 + (TWO_OVER_LN10 * b) / inside)
    x -= step
    if (Math.abs(step) < SETTLED) break
  }
  return 1 / (x * x)
}

/** df/dRe along Colebrook–White, by the implicit function theorem on F(x, Re) = 0. */
function colebrookSlope(re: number, relativeRoughness: number, f: number): number {
  const x = 1 / Math.sqrt(f)
  const b = 2.51 / re
  const inside = relativeRoughness / 3.7 + b * x
  const dFdx = 1 + (TWO_OVER_LN10 * b) / inside
  const dFdRe = (-TWO_OVER_LN10 * b * x) / (inside * re)
  return -2 * f * Math.sqrt(f) * (-dFdRe / dFdx)
}
