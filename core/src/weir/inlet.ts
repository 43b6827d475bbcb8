import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import { boreAreaM2 } from '../pipe/index.ts'
import { ROOT_2G } from './smooth.ts'

/** Discharge coefficient of a pipe's rim as a weir, and of its mouth as an orifice. */
const CD = 0.6

/** Water over the rim of an upright pipe: Q = ⅔ · 0.6 √(2g) π D h^1.5. */
export function circularRimFlow(boreM: number, headM: number): number {
  return headM <= 0 ? 0 : (2 / 3) * CD * ROOT_2G * Math.PI * boreM * headM * Math.sqrt(headM)
}

/** Water through the mouth of a drowned pipe: Q = 0.6 A √(2 g h). */
export function orificeFlow(boreM: number, headM: number): number {
  return headM <= 0 ? 0 : CD * boreAreaM2(boreM) * Math.sqrt(2 * GRAVITY_M_PER_S2 * headM)
}

/** Head at which the orifice becomes the smaller of the two: 3 D/8. */
export function rimToOrificeM(boreM: number): number {
  return (3 * boreM) / 8
}

/** Head over the rim of an upright pipe that runs over as a weir. */
export function circularRimHeadM(boreM: number, flowM3PerS: number): number {
  return (flowM3PerS / ((2 / 3) * CD * ROOT_2G * Math.PI * boreM)) ** (2 / 3)
}

/** Head that drives a flow through a drowned mouth. */
export function orificeHeadM(boreM: number, flowM3PerS: number): number {
  return (flowM3PerS / (CD * boreAreaM2(boreM))) ** 2 / (2 * GRAVITY_M_PER_S2)
}
