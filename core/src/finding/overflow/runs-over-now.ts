import type { RunsOver } from '../../judge/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { OverflowCase } from '../case/overflow-case.ts'
import { factIf, rule } from '../rule.ts'

/** More comes than the overflow passes: the water runs over a rim while nothing has failed yet. */
export const runsOverNow = rule({
  code: 'runs-over-now',
  station: 'overflow',
  severities: ['stop'],
  holds: 'More water comes into a tank than its overflow and its drains pass.',
  condition: ({ solved }: OverflowCase) => factIf(solved.runsOver),
  title: ({ words, solved }) =>
    sentence(
      solved.spills === 'box'
        ? '{where}The overflow box runs over as it is'
        : '{where}The tank runs over as it is',
      { where: words },
    ),
  reason: ({ solved, whole }, over) =>
    sentence(REASONS[over.at === 'pipe' && over.drainId === null ? 'drains' : over.at], {
      flow: ['flow', solved.flowM3PerS],
      most: ['flow', over.capacityM3PerS],
      drain: whole.design.drains.find(({ id }) => id === over.drainId)?.name ?? '',
    }),
  where: (_, { drainId }) => ({ drainId }),
})

/** What passes too little, with the water at the rim. */
const REASONS: Readonly<Record<RunsOver['at'] | 'drains', string>> = {
  rim: '{flow} comes, and the overflow’s rim passes {most} with the water at the rim.',
  teeth: '{flow} comes, and the overflow’s teeth pass {most} with the water at the rim.',
  passage:
    '{flow} comes, and what joins the overflow’s two sides passes {most} with the water at the rim.',
  bulkhead: '{flow} comes, and the bulkhead of {drain} passes {most} with the water at the rim.',
  valve:
    '{flow} comes, and {drain} passes {most}, its valve as it stands, with the water at the rim.',
  pipe: '{flow} comes, and {drain} passes {most} with the water at the rim.',
  drains: '{flow} comes, and the drains together pass {most} with the water at the rim.',
}
