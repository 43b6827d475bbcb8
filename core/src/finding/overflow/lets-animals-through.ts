import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { rule } from '../rule.ts'

/** Openings wider than the guard's limit, or no guard. */
export const letsAnimalsThrough = rule({
  code: 'lets-animals-through',
  station: 'overflow',
  severities: ['watch'],
  holds: 'The smallest animal that must stay fits through an opening on the way out.',
  condition: ({ solved, overflow }: OverflowCase) =>
    solved.keepsIn === false ? [overflow.keepsInM!] : [],
  title: ({ words }, keepsInM) =>
    sentence('{where}An animal of {size} fits through', {
      where: words,
      size: ['length', keepsInM],
    }),
  reason: ({ solved }) =>
    sentence('The smallest opening on the way out is {open}.', {
      open: ['length', solved.leastOpeningM],
    }),
})
