import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import type { PumpPart } from '../pump/index.ts'

/** Water, kg/m³: for a guess it needs no more. */
const WATER_KG_PER_M3 = 1000
/** A two-number curve gives its most power at half flow and half head, of which small pumps turn so much into flow (choice). */
const EFFICIENCY = 0.25
/** Flow in a pump's outlet where its most flow alone is known, m/s (choice). */
const OUTLET_M_PER_S = 2.5

/** What is on a pump's box. */
export interface OnTheBox {
  readonly maxFlowM3PerS: number
  readonly shutOffHeadM: number
  /** null: not known; it is guessed from the other two. */
  readonly ratedPowerW: number | null
}

/** A pump from the numbers on its box; outlet's bore, and power where it is not known, are guesses. */
export function pumpFromBox(
  { id, name }: Pick<PumpPart, 'id' | 'name'>,
  { maxFlowM3PerS, shutOffHeadM, ratedPowerW }: OnTheBox,
): PumpPart {
  const hydraulicW = (WATER_KG_PER_M3 * GRAVITY_M_PER_S2 * (maxFlowM3PerS / 2) * shutOffHeadM) / 2
  const outletM = Math.sqrt((4 * maxFlowM3PerS) / (Math.PI * OUTLET_M_PER_S))
  return {
    id,
    partId: null,
    name,
    control: 'fixed-speed',
    mounting: 'under-water',
    curve: [],
    shutOffHeadM,
    maxFlowM3PerS,
    ratedPowerW: ratedPowerW ?? Math.max(1, Math.round(hydraulicW / EFFICIENCY)),
    power: [],
    outletBoreM: Math.min(0.05, Math.max(0.012, Math.round(outletM * 1000) / 1000)),
    inletBoreM: null,
    leastDepthM: null,
    leastSpeed: 1,
    priceClass: null,
    size: null,
  }
}
