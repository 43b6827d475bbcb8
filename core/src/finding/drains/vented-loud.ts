import { sentence } from '../../quantity/index.ts'
import type { DrainCase } from '../case/drain-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** By the share of the pipe's section that water takes. */
export const ventedLoud = rule({
  code: 'vented-loud',
  station: 'drains',
  severities: ['watch'],
  holds: 'A vented pipe takes all it can: a third of its section.',
  condition: ({ solved }: DrainCase) =>
    holdsFor(solved.vented !== null && solved.state === 'gulps'),
  title: ({ drain }) =>
    sentence('{drain} takes all it can: it is loud, and what more comes goes elsewhere', {
      drain: drain.name,
    }),
  reason: ({ solved }) =>
    sentence(
      'Water fills a third of its narrowest section. Past that the air can’t get out and it surges between full and empty, so no more is counted on than {most}.',
      { most: ['flow', solved.vented!.mostM3PerS] },
    ),
})
