import { setTo } from '../design/index.ts'
import {
  GOOD_HEAD_M,
  hungLosesPrime,
  letsAnimalsThrough,
  type OverflowCase,
  TEETH_RESERVE,
  teethDrowned,
  weirTooShort,
} from '../finding/index.ts'
import { sentence } from '../quantity/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'
import type { Change } from './lever/change.ts'
import { longerRim, widerPassages } from './lever/overflow.ts'
import { brought } from './way-down-fixes.ts'

/** What fixes an overflow: its rim, its teeth and its tubes. */
export const OVERFLOW_FIXES: readonly FindingFixes[] = [
  fixesFor(teethDrowned, (overflowCase) =>
    skimming(
      overflowCase,
      longerRim(overflowCase, overflowCase.overflow.teeth!.heightM * TEETH_RESERVE),
    ),
  ),
  fixesFor(weirTooShort, (overflowCase) =>
    skimming(overflowCase, longerRim(overflowCase, GOOD_HEAD_M)),
  ),
  fixesFor(letsAnimalsThrough, ({ overflow, index }, keepsInM) => {
    const { teeth } = overflow
    if (!teeth) return []
    const widthM = Math.floor(keepsInM * 0.8 * 1e4) / 1e4
    const pitchM = (teeth.pitchM / teeth.slotWidthM) * widthM
    return [
      {
        label: sentence('Cut the slots {width} wide', { width: ['length', widthM] }),
        brings: () =>
          sentence('Keeps animals of {size} in the tank; more slots make up for it.', {
            size: ['length', keepsInM],
          }),
        edits: [
          setTo(['tanks', index, 'overflow', 'teeth'], { ...teeth, slotWidthM: widthM, pitchM }),
        ],
      },
    ]
  }),
  fixesFor(hungLosesPrime, (box) => brought(box, widerPassages(box))),
]

/** Each said with where the water over the rim then stands. */
function skimming(box: OverflowCase, changes: readonly Change[]): FindingCandidate[] {
  return changes.map(({ label, edits }) => ({
    label,
    edits,
    brings: ({ whole }) =>
      sentence('Brings the water over it down to {head}.', {
        head: ['length', whole.overflows.find(({ tankId }) => tankId === box.tank.id)!.headM],
      }),
  }))
}
