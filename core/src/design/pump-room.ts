import type { PumpPart } from '../pump/index.ts'
import { chamberSpans, type Sump } from './sump.ts'

/** A pump that does not stand in its chamber. */
export interface TooLarge {
  /** By so much the chamber is too short for it along the sump, m; zero: it is not. */
  readonly overM: number
  /** The room there is, less a finger's on either side: along the sump, across it, and up to its rim, m. */
  readonly lengthM: number
  readonly widthM: number
  readonly heightM: number
}

/** A finger's room on either side of a pump, to take it out, m (choice). */
const ROUND_PUMP_M = 0.01

/** Does a pump stand in a chamber, turned either way? null: it does, may stand dry, or a size is not set. */
export function pumpTooLarge(
  { size, mounting }: Pick<PumpPart, 'size' | 'mounting'>,
  sump: Sump,
  chamberId: string,
): TooLarge | null {
  const { box, chambers } = sump
  const at = chambers.findIndex(({ id }) => id === chamberId)
  if (!size || !box || at < 0 || mounting !== 'under-water') return null
  const { fromM, toM } = chamberSpans(sump, box.lengthM)[at]!
  const room = {
    lengthM: toM - fromM - 2 * ROUND_PUMP_M,
    widthM: box.widthM - 2 * ROUND_PUMP_M,
    heightM: box.heightM,
  }
  const short = Math.min(size.lengthM, size.widthM)
  const long = Math.max(size.lengthM, size.widthM)
  // Along the sump it may be turned to its shorter side, where the sump is as wide as its longer one.
  const needsM = long <= room.widthM ? short : long
  const fits = short <= room.widthM && needsM <= room.lengthM && size.heightM <= room.heightM
  return fits ? null : { overM: Math.max(0, needsM - room.lengthM), ...room }
}
