import type { SolvedMatch } from '../../figures/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { factIf, rule } from '../rule.ts'

/** A full siphon that even its open valve lets too little through; null: it can be matched. */
export function unmatched({ drain, solved }: DrainCase): SolvedMatch | null {
  const { match } = solved
  const runs = drain.role === 'siphon' && solved.flowM3PerS > 0 && solved.state === 'full'
  return runs && match && match.opening === null ? match : null
}

/** No opening of its valve lets the siphon carry what comes. */
export const siphonCannotMatch = rule({
  code: 'siphon-cannot-match',
  station: 'drains',
  severities: ['watch'],
  holds: 'A siphon carries less than its share with its valve wide open.',
  condition: (drainCase: DrainCase) => factIf(unmatched(drainCase)),
  title: ({ drain }) =>
    sentence('{drain} can’t carry its share, even wide open', { drain: drain.name }),
  reason: ({ solved }, match) =>
    sentence(
      'It should carry {wanted} and takes {open}. The rest goes down pipes that are there for something else.',
      { wanted: ['flow', match.flowM3PerS], open: ['flow', solved.openPrimedM3PerS] },
    ),
})
