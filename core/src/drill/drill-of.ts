import type { Sentence } from '../quantity/index.ts'
import type { Drill, DrillFault, FaultAt } from './fault.ts'

export const HOUR_S = 3600
export const DAY_S = 86_400
/** What fails has shown all it does after so long, where it has not come to rest before (choice). */
const BLOCKED_RUN_S = 4 * HOUR_S
/** Days are watched up to so many. */
export const MOST_DAYS = 30

/** What a drill is besides its faults, where it is not the usual. */
export interface More {
  readonly durationS?: number
  readonly evaporates?: boolean
  readonly isSingle?: boolean
}

/** A drill of faults, watched for some hours where nothing else is said. */
export function drill(
  id: string,
  title: Sentence,
  faults: readonly FaultAt[],
  more: More = {},
): Drill {
  const { durationS = BLOCKED_RUN_S, evaporates = false, isSingle = true } = more
  return { id, title, faults, durationS, evaporates, isSingle, parts: [] }
}

/** One fault, where the drill begins. */
export const atOnce = (fault: DrillFault): FaultAt[] => [{ atS: 0, fault }]
