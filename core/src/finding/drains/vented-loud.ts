import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** By the share of the pipe's section that water takes. */
export const ventedLoud = rule({
  code: 'vented-loud',
  station: 'drains',
  severities: ['watch'],
  holds: 'A vented pipe is filled past a third of its section.',
  condition: ({ solved }: DrainCase) => holdsFor(solved.noise === 'over'),
  title: ({ drain }) =>
    sentence('{drain} is too narrow: it gulps and is loud', { drain: drain.name }),
  reason: ({ solved }) =>
    sentence(
      'Water fills {filled} of its section. Past a third the air can’t get out: it surges between full and empty. A vented pipe of this bore takes {most} at the most.',
      { filled: ['share', solved.filledShare ?? 0], most: ['flow', solved.vented!.mostM3PerS] },
    ),
})
