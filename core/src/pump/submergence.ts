import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import { speedMPerS } from '../pipe/index.ts'

/**
 * Least water over an inlet so that no vortex draws air: S = D (1 + 2.3 V/√(gD)) (ANSI/HI 9.8),
 * D the inlet's bore, V the water's mean speed in it.
 */
export function leastDepthM(inletBoreM: number, flowM3PerS: number): number {
  const froude =
    Math.abs(speedMPerS(flowM3PerS, inletBoreM)) / Math.sqrt(GRAVITY_M_PER_S2 * inletBoreM)
  return inletBoreM * (1 + 2.3 * froude)
}
