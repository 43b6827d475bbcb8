import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** The emergency pipe carries water in normal running. */
export const emergencyWet = rule({
  code: 'emergency-wet',
  station: 'drains',
  severities: ['watch'],
  holds: 'An emergency pipe carries water in normal use.',
  condition: ({ drain, solved }: DrainCase) =>
    holdsFor(drain.role === 'emergency' && solved.flowM3PerS > 0),
  title: ({ drain, solved }) =>
    sentence('{drain} carries {flow} in normal use', {
      drain: drain.name,
      flow: ['flow', solved.flowM3PerS, solved.flowBandM3PerS],
    }),
  reason: () =>
    sentence(
      'Dry, it is an alarm and a reserve. Wet, it is neither: what it should catch has no other way.',
    ),
})
