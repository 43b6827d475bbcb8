import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import { speedMPerS } from '../pipe/index.ts'

/** An inlet whose bore is not set, over its pump's outlet (choice). */
const INLET_OVER_OUTLET = 1.4
/** Share of Fr in the depth that keeps a vortex away, and in the one for large bells. */
const VORTEX = 1
const BELL = 2.3

/** The bore of a pump's inlet: its own, or as such pumps have it over their outlet. */
export function inletBoreM(part: {
  readonly inletBoreM: number | null
  readonly outletBoreM: number
}): number {
  return part.inletBoreM ?? INLET_OVER_OUTLET * part.outletBoreM
}

/** Least water over an inlet against a vortex that draws air: S = D (1 + Fr), Fr = V/√(gD) (Reddy & Pickford 1972). */
export function vortexDepthM(boreM: number, flowM3PerS: number): number {
  return depthM(boreM, flowM3PerS, VORTEX)
}

/** The depth of ANSI/HI 9.8, meant for large bells: S = D (1 + 2.3 Fr). */
export function bellDepthM(boreM: number, flowM3PerS: number): number {
  return depthM(boreM, flowM3PerS, BELL)
}

function depthM(boreM: number, flowM3PerS: number, share: number): number {
  const froude = Math.abs(speedMPerS(flowM3PerS, boreM)) / Math.sqrt(GRAVITY_M_PER_S2 * boreM)
  return boreM * (1 + share * froude)
}
