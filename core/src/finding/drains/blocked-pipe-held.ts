import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { rule } from '../rule.ts'

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
  severity: (_, { marginM, marginBandM }) => (marginM > marginBandM ? 'fine' : 'watch'),
  title: ({ words }, { marginM, marginBandM }) =>
    sentence(
      marginM > marginBandM
        ? '{where}Any one pipe may block: nothing reaches the floor'
        : '{where}With one pipe blocked it is too near to call',
      { where: words },
    ),
  reason: (_, { name, marginM, marginBandM }) =>
    sentence(
      marginM > marginBandM
        ? 'The worst leaves {left} to the rim it would come over.'
        : 'With {name} blocked {left} is left to the rim, which is no more than it may be off.',
      { name, left: ['length', marginM, marginBandM] },
    ),
})
