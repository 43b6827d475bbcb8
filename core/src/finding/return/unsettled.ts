import { sentence } from '../../quantity/index.ts'
import type { LineCase } from '../case/line-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const couldNotSolve = rule({
  code: 'unsettled',
  station: 'return',
  severities: ['stop'],
  holds: 'No flow was found at which a line’s heads balance.',
  condition: ({ laid, whole }: LineCase) =>
    holdsFor(laid.line.id === whole.returnSide.unsettledLineId),
  title: ({ laid }) => sentence('The line “{line}” could not be solved', { line: laid.line.name }),
  reason: () =>
    sentence(
      'No flow was found at which its head balances. Check that its pump’s curve falls to zero and that it has a length and an end.',
    ),
})
