import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { rule } from '../rule.ts'

/** Over this flow the teeth are no weir any more. */
export const teethDrowned = rule({
  code: 'teeth-drowned',
  station: 'overflow',
  severities: ['watch'],
  holds: 'The tops of an overflow’s teeth stand under water.',
  condition: ({ solved: { overTeethM } }: OverflowCase) =>
    overTeethM !== null && overTeethM > 0 ? [overTeethM] : [],
  title: ({ words }, overTeethM) =>
    sentence('{where}The teeth stand {deep} under water', {
      where: words,
      deep: ['length', overTeethM],
    }),
  reason: ({ solved, overflow }) =>
    sentence(
      'They drown at {flow}; past that they hold no animal back and no longer skim. {blocked} of the slots count as shut.',
      {
        flow: ['flow', solved.teethDrownM3PerS ?? 0],
        blocked: ['share', overflow.teeth!.blockedShare],
      },
    ),
})
