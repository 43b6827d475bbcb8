import { constantLoss, type Loss } from './loss.ts'

/** K = 1.599e9 D⁴/Kv², D in m and Kv in m³/h: a maker's figure in place of any table's. */
export function makerLoss(kvM3PerH: number, boreM: number): Loss {
  return constantLoss((1.599e9 * boreM ** 4) / (kvM3PerH * kvM3PerH))
}
