import { sentence } from '../../quantity/index.ts'
import type { ChamberCase } from '../case/chamber-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** What its pumps draw against what comes in. */
export const chamberStarved = rule({
  code: 'chamber-starved',
  station: 'sump',
  severities: ['stop'],
  holds: 'More is drawn from a chamber than comes in.',
  condition: ({ solved }: ChamberCase) => holdsFor(solved.starved),
  title: ({ chamber }) => sentence('{chamber} runs dry', { chamber: chamber.name }),
  reason: () => sentence('More is drawn from it than comes in, and its wall lets nothing back.'),
})
