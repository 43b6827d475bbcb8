import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import { speedMPerS } from '../pipe/index.ts'

/** Does the water's speed carry the air out of an inverted U tube? */
export type PrimeVerdict = 'stays-primed' | 'between' | 'doubtful'

/** V/√(gD) at and above which air is swept out, in a hung tube and down a siphon's upright. */
export const AIR_SWEPT_FROUDE = 0.8
/** Below this it gathers in a hung tube. */
const GATHERS = 0.5

/** V/√(gD) in a full tube or pipe. */
export function tubeFroude(tubeBoreM: number, flowM3PerS: number): number {
  return speedMPerS(flowM3PerS, tubeBoreM) / Math.sqrt(GRAVITY_M_PER_S2 * tubeBoreM)
}

/** The widest bore at which a full tube's water sweeps air out at a V/√(gD), m: Fr = Q/(π/4 D² √(gD)). */
export function boreAtFroude(flowM3PerS: number, froude: number): number {
  return (flowM3PerS / (froude * (Math.PI / 4) * Math.sqrt(GRAVITY_M_PER_S2))) ** 0.4
}

/** Whether a hung tube sweeps its air out, by V/√(gD) of its water (hydraulics reference, §6). */
export function primeVerdict(froude: number): PrimeVerdict {
  if (froude >= AIR_SWEPT_FROUDE) return 'stays-primed'
  return froude < GATHERS ? 'doubtful' : 'between'
}
