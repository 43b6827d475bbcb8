import { isHose } from '../pipe/index.ts'
import type { LineCase } from './finding.ts'

/** Faster than this in plastic pipe to a tank is loud and wears on elbows: the 5 ft/s that pipe makers' guides give. */
export const FAST_M_PER_S = 1.5
/** In hose, which does not ring and has no sharp elbows (choice). */
const FAST_IN_HOSE_M_PER_S = 1.8
/** In a takeoff behind the cabinet's doors (choice: 6 ft/s, the upper end of the same guides). */
const FAST_TO_SUMP_M_PER_S = 1.8

/** How fast water may run in one piece of a line. */
export function fastestQuiet({ laid }: LineCase, pieceIndex: number): number {
  const placed = laid.placed[pieceIndex]
  if (laid.line.end.at === 'chamber') return FAST_TO_SUMP_M_PER_S
  return placed && isHose(placed.sizeBefore.series) ? FAST_IN_HOSE_M_PER_S : FAST_M_PER_S
}
