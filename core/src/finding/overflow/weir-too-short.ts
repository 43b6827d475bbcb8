import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { THICK_M } from '../limits.ts'
import { holdsFor, rule } from '../rule.ts'

/** The head over the crest against `THICK_M`; drowned teeth have a finding of their own. */
export const weirTooShort = rule({
  code: 'weir-too-short',
  station: 'overflow',
  severities: ['watch'],
  holds: 'A thick sheet of water runs over the rim.',
  condition: ({ solved: { headM, overTeethM } }: OverflowCase) =>
    holdsFor(headM > THICK_M && !(overTeethM !== null && overTeethM > 0)),
  title: ({ words, solved }) =>
    sentence('{where}The rim is short: {head} of water over it', {
      where: words,
      head: ['length', solved.headM],
    }),
  reason: () =>
    sentence(
      'All of that comes down when the pump stops, and a thick sheet skims little. A longer rim runs thinner.',
    ),
})
