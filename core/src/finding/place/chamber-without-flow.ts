import { sentence } from '../../quantity/index.ts'
import type { ChamberCase } from '../case/chamber-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** Water that nothing passes goes stale; a reservoir is meant to stand. */
export const chamberWithoutFlow = rule({
  code: 'chamber-without-flow',
  station: 'sump',
  severities: ['watch'],
  holds: 'No water flows through a chamber.',
  condition: ({ chamber, solved, whole }: ChamberCase) =>
    holdsFor(
      chamber.use !== 'reservoir' &&
        whole.returnSide.flowM3PerS > 0 &&
        whole.steady.drains.length > 0 &&
        solved.throughM3PerS === 0,
    ),
  title: ({ chamber }) => sentence('Nothing flows through {chamber}', { chamber: chamber.name }),
  reason: () =>
    sentence(
      'It lies off the way from the drains to the pump: its water stands and goes stale. Bring a drain or a takeoff into it, or put it on the way.',
    ),
})
