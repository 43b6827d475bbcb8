import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { rule } from '../rule.ts'

export const blockedPipeHeld = rule({
  code: 'blocked-pipe-held',
  station: 'drains',
  severities: ['fine'],
  holds: 'With any one pipe blocked, the others carry the flow.',
  condition: ({ solved }: OverflowCase) => {
    const rows = solved.blocked.filter(({ drainIds }) => drainIds.length === 1)
    const carries = rows.length > 0 && rows.every((row) => row.carries)
    return carries ? [Math.min(...rows.map(({ marginM }) => marginM))] : []
  },
  title: ({ words }) =>
    sentence('{where}Any one pipe may block: nothing reaches the floor', { where: words }),
  reason: (_, leastM) =>
    sentence('The worst leaves {left} to the rim it would come over.', {
      left: ['length', leastM],
    }),
})
