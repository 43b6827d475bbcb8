import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import type { ValueSlope } from '../numeric/index.ts'

/** √(2g). */
export const ROOT_2G = Math.sqrt(2 * GRAVITY_M_PER_S2)

/** Added to a head for what surface tension and viscosity take (Kindsvater & Carter). */
const ADDED_HEAD_M = 0.001
/** Below this head the addition shrinks as h/5, so no head means no flow. */
const SHRINKS_BELOW_M = 0.005

/** The head that counts: h + 0.001 m, or 1.2 h for small heads. */
export function effectiveHeadM(headM: number): number {
  return headM + Math.min(ADDED_HEAD_M, headM / 5)
}

/** How fast it rises with the head. */
export function effectiveSlope(headM: number): number {
  return headM < SHRINKS_BELOW_M ? 1.2 : 1
}

/** Below this head the law stands on no measurement: the same formula, a wider band. */
export const LEAST_MEASURED_HEAD_M = 0.03

/** A straight, level rim. */
export interface SmoothRim {
  readonly lengthM: number
  /** Water below the rim on the side the flow comes from. */
  readonly depthBelowM: number
}

/** Cd = 0.602 + 0.075 h/P (Kindsvater & Carter 1957, full width). */
const CD = 0.602
const CD_PER_DEPTH = 0.075

/** Flow over a smooth rim at a head and its slope: Q = ⅔ Cd √(2g) b (h + 0.001)^1.5. */
export function smoothRim({ lengthM, depthBelowM }: SmoothRim) {
  const perLength = (2 / 3) * ROOT_2G * lengthM
  const cdSlope = CD_PER_DEPTH / depthBelowM
  return (headM: number, into: ValueSlope): void => {
    if (headM <= 0) {
      into.value = 0
      into.slope = 0
      return
    }
    const head = effectiveHeadM(headM)
    const root = Math.sqrt(head)
    const cd = CD + cdSlope * headM
    into.value = perLength * cd * head * root
    into.slope = perLength * (cdSlope * head * root + 1.5 * cd * root * effectiveSlope(headM))
  }
}

/** Share of its free flow that a rim keeps when the far side stands this high over it (Villemonte 1947). */
export function drownedShare(headM: number, farHeadM: number): number {
  if (farHeadM <= 0) return 1
  if (farHeadM >= headM) return 0
  return (1 - (farHeadM / headM) ** 1.5) ** 0.385
}
