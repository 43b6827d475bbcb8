import type { BlockedRow } from '../../judge/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { rule } from '../rule.ts'

/** sure: more than its band is left. near: no more than that. full: only while an emergency does what is doubtful. */
function standOf({ solved }: OverflowCase, { marginM, marginBandM }: BlockedRow) {
  if (marginM <= marginBandM) return 'near'
  return solved.blocked.some(({ leansOnId }) => leansOnId !== null) ? 'full' : 'sure'
}

export const blockedPipeHeld = rule({
  code: 'blocked-pipe-held',
  station: 'drains',
  severities: ['watch', 'fine'],
  holds: 'With any one pipe blocked, the others carry the flow.',
  condition: ({ solved }: OverflowCase) => {
    const rows = solved.blocked.filter(({ drainIds }) => drainIds.length === 1)
    const carries = rows.length > 0 && rows.every((row) => row.carries)
    const worst = rows.reduce((least, row) => (row.marginM < least.marginM ? row : least), rows[0]!)
    return carries ? [worst] : []
  },
  severity: (box, row) => (standOf(box, row) === 'sure' ? 'fine' : 'watch'),
  title: (box, row) =>
    sentence(
      {
        sure: '{where}Any one pipe may block: nothing reaches the floor',
        near: '{where}With one pipe blocked it is too near to call',
        full: '{where}Any one pipe may block, if the emergency does as it is meant to',
      }[standOf(box, row)],
      { where: box.words },
    ),
  reason: (box, row) =>
    sentence(
      {
        sure: 'The worst leaves {left} to the rim it would come over.',
        near: 'With {name} blocked {left} is left to the rim, which is no more than it may be off.',
        full: 'The worst then leaves {left} to the rim it would come over. What is doubtful about the emergency is said beside it.',
      }[standOf(box, row)],
      { name: row.name, left: ['length', row.marginM, row.marginBandM] },
    ),
})
