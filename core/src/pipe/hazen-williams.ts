/** Smooth plastic, as keepers' tables have it. */
const HAZEN_WILLIAMS_C = 150
const PER_C = 10.67 / HAZEN_WILLIAMS_C ** 1.852

/**
 * Head lost per metre by Hazen–Williams, m/m: 10.67 Q^1.852 / (C^1.852 D^4.8704). A cross-check
 * shown beside Darcy–Weisbach, never used to solve.
 */
export function hazenWilliamsMPerM(flowM3PerS: number, boreM: number): number {
  return (PER_C * flowM3PerS ** 1.852) / boreM ** 4.8704
}
