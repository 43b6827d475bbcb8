const INCH_M = 0.0254
/** One US gallon a minute, m³/s. */
const GPM_M3_PER_S = 3.785411784e-3 / 60

/** Shares of a vented pipe's section that water may fill (hydraulics reference, §7). */
export const FILLED = { quiet: 1 / 4, usual: 7 / 24, most: 1 / 3 } as const

/** quiet: to ¼. usual: to 7/24. most: to ⅓. over: it gulps, surges and is loud. */
export type NoiseBand = 'quiet' | 'usual' | 'most' | 'over'

/**
 * Water that runs down the wall of a vented standpipe with its core open, m³/s:
 * q = 27.8 r^(5/3) D^(8/3), gal/min and inches (Wyly & Eaton 1961, NBS Monograph 31).
 */
export function ventedFlow(boreM: number, filledShare: number): number {
  return 27.8 * filledShare ** (5 / 3) * (boreM / INCH_M) ** (8 / 3) * GPM_M3_PER_S
}

/** Share of the section that a flow fills. */
export function filledShareOf(boreM: number, flowM3PerS: number): number {
  return (flowM3PerS / ventedFlow(boreM, 1)) ** (3 / 5)
}

/** How loud a vented pipe is, by the share of its section that water takes. */
export function noiseBand(boreM: number, flowM3PerS: number): NoiseBand {
  if (flowM3PerS <= ventedFlow(boreM, FILLED.quiet)) return 'quiet'
  if (flowM3PerS <= ventedFlow(boreM, FILLED.usual)) return 'usual'
  return flowM3PerS <= ventedFlow(boreM, FILLED.most) ? 'most' : 'over'
}

/** Does it take all that a vented pipe of its bore can? More fills its section, and it surges. */
export function isFilledToMost(boreM: number, flowM3PerS: number): boolean {
  return flowM3PerS >= ventedFlow(boreM, FILLED.most) * (1 - 1e-9)
}

/** Least fall of a near-level run of a vented drain, m/m. */
export const LEAST_SLOPE = 1 / 48
/** Manning's n of smooth plastic. */
const MANNING_N = 0.009

/** A near-level run half full: Q = A R^(2/3) √s / n, R = D/4. */
export function halfFullFlow(boreM: number, slope: number): number {
  const areaM2 = (Math.PI / 8) * boreM * boreM
  return (areaM2 * (boreM / 4) ** (2 / 3) * Math.sqrt(slope)) / MANNING_N
}
