import {
  aboveFillLine,
  chamberRunsOver,
  outageElsewhere,
  outageHeld,
  sumpTooSmall,
  type Whole,
} from '../finding/index.ts'
import { sentence } from '../quantity/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'
import type { Change } from './lever/change.ts'
import { powerCutLevers, wallsLower } from './lever/power-cut.ts'
import { raisedEnds } from './line-end-fixes.ts'

/** What keeps a power cut off the floor. */
export const POWER_CUT_FIXES: readonly FindingFixes[] = [
  fixesFor(aboveFillLine, ({ whole }) => brought(levers(whole))),
  fixesFor(sumpTooSmall, ({ whole }) => brought(levers(whole))),
  fixesFor(outageHeld, ({ whole }) => brought(levers(whole))),
  fixesFor(outageElsewhere, ({ whole }) => brought(levers(whole))),
  fixesFor(chamberRunsOver, ({ whole, index }) => [
    ...brought(wallsLower(whole, index)),
    ...brought(powerCutLevers(whole)),
  ]),
]

const levers = (whole: Whole): Change[] => [...powerCutLevers(whole), ...raisedEnds(whole)]

/** Each said with what it leaves after a power cut. */
function brought(changes: readonly Change[]): FindingCandidate[] {
  return changes.map(({ label, edits }) => ({
    label,
    edits,
    brings: ({ whole: { sump } }) => {
      const leftM = sump.outage?.leftM ?? null
      return leftM === null
        ? sentence('The water runs as it should.')
        : sentence('Leaves {left} to the sump’s rim after a power cut.', {
            left: ['length', leftM, sump.outage!.marginBandM],
          })
    },
  }))
}
