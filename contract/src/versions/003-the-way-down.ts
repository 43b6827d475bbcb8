import { asPlain, eachOf } from './plain.ts'

/** Defaults of the choices that format 3 brings (hydraulics reference, §8). */
const MARGIN_M = 0.02
const GAP_M = 0.0016
const EVAPORATION_MM_PER_DAY = 3

/**
 * Format 2 knew the sump as levels only, kept with the return side. Format 3 has overflows, drains
 * and a sump of its own: the old chambers move there, with no sizes and no overflow given, so every
 * level stays where it was.
 */
export function theWayDown(document: unknown): unknown {
  const { tanks, returnSide, ...other } = asPlain(document)
  const { chambers, ...side } = asPlain(returnSide)
  const first = Array.isArray(side.pumps) ? asPlain(side.pumps[0]).chamberId : undefined
  return {
    ...other,
    tanks: eachOf(tanks, (tank) => ({ ...tank, overflow: null })),
    drains: [],
    sump: {
      chambers: eachOf(chambers, (chamber) => ({
        ...chamber,
        use: chamber.id === first ? 'return' : 'other',
        footprintM2: 0,
        submergedM3: 0,
        wantsDepth: null,
      })),
      box: null,
      walls: [],
      marginM: MARGIN_M,
      gapM: GAP_M,
      evaporationMmPerDay: EVAPORATION_MM_PER_DAY,
      hungWaterM3: 0,
    },
    returnSide: side,
  }
}
