import { LEAST_SLOPE } from '../../drain/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** Vented pipe needs a fall; the near-level law says what it carries (Manning). */
export const drainTooLevel = rule({
  code: 'drain-too-level',
  station: 'drains',
  severities: ['watch'],
  holds: 'A pipe that carries air with its water falls less than 1 in 48.',
  condition: ({ drain, solved }: DrainCase) => {
    const runsDown = drain.role === 'vented' || drain.role === 'trickle'
    return holdsFor(runsDown && solved.leastSlope !== null && solved.leastSlope < LEAST_SLOPE)
  },
  title: ({ drain }) => sentence('{drain} runs too level', { drain: drain.name }),
  reason: ({ solved: { nearLevelM3PerS } }) =>
    nearLevelM3PerS === null
      ? sentence(
          'Water that shares a pipe with air needs a fall of at least 1 in 48; a level stretch fills up, and the air above it is caught.',
        )
      : sentence(
          'Water that shares a pipe with air needs a fall of at least 1 in 48. Half full, its flattest stretch takes {half}.',
          { half: ['flow', nearLevelM3PerS] },
        ),
})
