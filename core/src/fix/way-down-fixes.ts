import {
  blockedPipeHeld,
  boxWithoutDrain,
  emergencyCannotCarry,
  emergencyNotSure,
  emergencyOnlyFull,
  joinedDrains,
  type OverflowCase,
  runsOverNow,
  siphonMayNotStart,
} from '../finding/index.ts'
import { type Sentence, sentence } from '../quantity/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'
import { lessFlowTo } from './flow/less-flow.ts'
import type { Change } from './lever/change.ts'
import { lowerEdge } from './lever/overflow.ts'
import { fullOpen, separated, wayDownLevers } from './lever/way-down.ts'
import { feedOf } from './flow/wish.ts'
import type { Trial } from './trial.ts'

/** The pump slowed for the way down brings so much less than that passes (choice). */
const UNDER_CAPACITY = 0.85

/** What fixes a tank's way down where it floods or may. */
export const WAY_DOWN_FIXES: readonly FindingFixes[] = [
  fixesFor(runsOverNow, (box, { capacityM3PerS }) => [
    ...lessFlow(box, capacityM3PerS * UNDER_CAPACITY),
    ...brought(box, [...wayDownLevers(box), ...lowerEdge(box.whole, box.index)]),
  ]),
  fixesFor(boxWithoutDrain, (box) => brought(box, wayDownLevers(box))),
  fixesFor(emergencyCannotCarry, (box) => brought(box, wayDownLevers(box))),
  fixesFor(emergencyNotSure, ({ box, ...drain }) => [
    ...brought(box, fullOpen({ box, ...drain })),
    ...brought(box, wayDownLevers(box)),
  ]),
  fixesFor(emergencyOnlyFull, ({ box }) => brought(box, wayDownLevers(box))),
  fixesFor(siphonMayNotStart, ({ box }) => brought(box, wayDownLevers(box))),
  fixesFor(joinedDrains, ({ box }) => brought(box, [...separated(box), ...wayDownLevers(box)])),
  fixesFor(blockedPipeHeld, (box) => brought(box, wayDownLevers(box))),
]

/** Changes of a way down, each said with what it leaves with the worst pipe blocked. */
export function brought(box: OverflowCase, changes: readonly Change[]): FindingCandidate[] {
  return changes.map(({ label, edits }) => ({
    label,
    edits,
    brings: (after) => leftWords(box, after),
  }))
}

function leftWords({ tank, index }: OverflowCase, { whole }: Trial): Sentence {
  const solved = whole.overflows.find(({ tankId }) => tankId === tank.id)
  const rows = solved?.blocked.filter(({ drainIds }) => drainIds.length === 1) ?? []
  const lefts = rows.flatMap(({ leftM }) => (leftM === null ? [] : [leftM]))
  if (rows.length === 0 || lefts.length < rows.length) {
    const left = ['length', whole.tanks[index]!.freeboardM] as const
    return sentence('Leaves {left} to the tank’s rim as it runs.', { left })
  }
  return sentence('Leaves {left} to a rim with any one pipe blocked.', {
    left: ['length', Math.min(...lefts)],
  })
}

/** The return brought down to what is wanted, or to what passes. */
function lessFlow({ whole, tank }: OverflowCase, mostM3PerS: number): FindingCandidate[] {
  const feed = feedOf(whole, tank.id)
  return feed ? lessFlowTo(feed, mostM3PerS) : []
}
