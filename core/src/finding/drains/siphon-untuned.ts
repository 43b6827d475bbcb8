import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** More open than what comes: it empties its box, draws air and starts again. */
export const siphonUntuned = rule({
  code: 'siphon-untuned',
  station: 'drains',
  severities: ['watch'],
  holds: 'A siphon would carry more than comes, and draws air.',
  condition: ({ drain, solved }: DrainCase) =>
    holdsFor(drain.role === 'siphon' && solved.flowM3PerS > 0 && solved.state === 'gulps'),
  title: ({ drain }) => sentence('{drain} takes more than comes: it gulps', { drain: drain.name }),
  reason: ({ solved }) =>
    sentence(
      'It gets {flow}; full, it would carry {primed}. It empties its box to the inlet, draws air, lets go and starts again, loudly. Its valve makes it match.',
      {
        primed: ['flow', solved.primedM3PerS, solved.primedBandM3PerS],
        flow: ['flow', solved.flowM3PerS, solved.flowBandM3PerS],
      },
    ),
})
