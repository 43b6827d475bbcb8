import { brent, type Outcome } from '../numeric/index.ts'
import { salinityFromConductivityPpt } from './conductivity.ts'
import { specificGravity } from './density.ts'

/** Salinities the equations are searched over, ppt. EOS-80 holds to 42; a little more for typing slips. */
const SEARCH_PPT = { from: 0, to: 60 }
const TOLERANCE_PPT = 1e-10

/** The salinity at which water of this temperature has this specific gravity. */
export function salinityFromSpecificGravityPpt(
  gravity: number,
  temperatureC: number,
): Outcome<number, 'not-bracketed' | 'too-many-iterations'> {
  return brent(
    (ppt) => specificGravity(ppt, temperatureC) - gravity,
    SEARCH_PPT.from,
    SEARCH_PPT.to,
    { tolerance: TOLERANCE_PPT },
  )
}

/** PSS-78 turned round: what a conductivity meter reads, mS/cm. Below 2 ppt the scale does not hold: NaN. */
export function conductivityMSPerCm(salinityPpt: number, temperatureC: number): number {
  if (salinityPpt < 2) return NaN
  const found = brent((c) => salinityFromConductivityPpt(c, temperatureC) - salinityPpt, 0.1, 150, {
    tolerance: TOLERANCE_PPT,
  })
  return found.ok ? found.value : NaN
}
