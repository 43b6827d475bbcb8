import { LIMITS } from '@yew-basin/contract/limits'
import {
  parseQuantity,
  salinityFromConductivityPpt,
  salinityFromSpecificGravityPpt,
  specificGravity,
  type UnitFamily,
} from '@yew-basin/core'

export type ReadSalinity =
  { readonly ok: true; readonly ppt: number } | { readonly ok: false; readonly fault: string }

/** No sea water's specific gravity reaches this, and no keeper's salinity is below it and above 0.9. */
const GRAVITY_BELOW = 1.1
const GRAVITY_FROM = 0.99

/** Reads "35", "35 ppt", "1.0264", "1.026 SG" or "53 mS/cm" at a temperature. */
export function readSalinity(text: string, temperatureC: number, family: UnitFamily): ReadSalinity {
  const asGravity = parseQuantity(text.replace(/\s*sg$/i, ''), 'number', family)
  const saysGravity = /sg$/i.test(text.trim())
  if (
    asGravity.ok &&
    (saysGravity || (asGravity.si >= GRAVITY_FROM && asGravity.si < GRAVITY_BELOW))
  ) {
    const found = salinityFromSpecificGravityPpt(asGravity.si, temperatureC)
    return found.ok ? within(found.value) : refused(temperatureC)
  }
  const asConductivity = /ms/i.test(text) ? parseQuantity(text, 'conductivity', family) : null
  if (asConductivity?.ok && asConductivity.si > 0) {
    return within(salinityFromConductivityPpt(asConductivity.si, temperatureC))
  }
  const asPpt = parseQuantity(text, 'salinity', family)
  return asPpt.ok ? within(asPpt.si) : refused(temperatureC)
}

function within(ppt: number): ReadSalinity {
  const { min, max } = LIMITS.salinity
  return ppt >= min && ppt <= max
    ? { ok: true, ppt }
    : { ok: false, fault: `Possible: ${min}–${max} ppt.` }
}

function refused(temperatureC: number): ReadSalinity {
  const { min, max } = LIMITS.salinity
  const top = specificGravity(max, temperatureC).toFixed(3)
  return { ok: false, fault: `Possible: ${min}–${max} ppt, or specific gravity 1.000–${top}.` }
}

/** How the family reads it: ppt, or specific gravity. */
export function writeSalinity(ppt: number, temperatureC: number, family: UnitFamily): string {
  return family === 'us'
    ? specificGravity(ppt, temperatureC).toFixed(4)
    : String(Number(ppt.toFixed(2)))
}
