import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const boxWithoutDrain = rule({
  code: 'box-without-drain',
  station: 'drains',
  severities: ['stop'],
  holds: 'An overflow’s box has no drain.',
  condition: ({ overflow, laid }: OverflowCase) =>
    holdsFor(overflow.box !== null && laid.drains.length === 0),
  title: ({ words }) => sentence('{where}The box has no drain yet', { where: words }),
  reason: () => sentence('Choose how it is drained: all that comes over the rim stays in the box.'),
})
