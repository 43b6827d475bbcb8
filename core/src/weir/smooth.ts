import { GRAVITY_M_PER_S2 } from '../fluid/water.ts'

/** √(2g). */
export const ROOT_2G = Math.sqrt(2 * GRAVITY_M_PER_S2)

/** Added to a head for what surface tension and viscosity take (Kindsvater & Carter). */
const ADDED_HEAD_M = 0.001

/** The head that counts: h + 0.001 m; below h = 5 mm the addition shrinks as h/5, so no head means no flow. */
export function effectiveHeadM(headM: number): number {
  return headM + Math.min(ADDED_HEAD_M, headM / 5)
}

/** Below this head the law stands on no measurement: the same formula, a wider band. */
export const LEAST_MEASURED_HEAD_M = 0.03

/** A straight, level rim. */
export interface SmoothRim {
  readonly lengthM: number
  /** Water below the rim on the side the flow comes from. */
  readonly depthBelowM: number
}

/**
 * Flow over a smooth rim at a head, m³/s: Q = ⅔ Cd √(2g) b (h + 0.001)^1.5, Cd = 0.602 + 0.075 h/P
 * (Kindsvater & Carter 1957, full width).
 */
export function smoothRimFlow({ lengthM, depthBelowM }: SmoothRim, headM: number): number {
  if (headM <= 0) return 0
  const cd = 0.602 + (0.075 * headM) / depthBelowM
  return (2 / 3) * cd * ROOT_2G * lengthM * effectiveHeadM(headM) ** 1.5
}

/** Share of its free flow that a rim keeps when the far side stands this high over it (Villemonte 1947). */
export function drownedShare(headM: number, farHeadM: number): number {
  if (farHeadM <= 0) return 1
  if (farHeadM >= headM) return 0
  return (1 - (farHeadM / headM) ** 1.5) ** 0.385
}
