import type { ChamberUse } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { ChamberCase } from '../case/chamber-case.ts'
import { HAND_M } from '../limits.ts'
import { rule } from '../rule.ts'

/** What is taken out and put back by hand; weed and rock are reached from above. */
const REACHED_INTO: ReadonlySet<ChamberUse> = new Set([
  'socks',
  'roller',
  'skimmer',
  'media',
  'return',
])

/** Length between the walls against `HAND_M`, where a hand has work to do. */
export const chamberTooShort = rule({
  code: 'chamber-too-short',
  station: 'sump',
  severities: ['watch'],
  holds: 'A hand does not fit into a chamber.',
  condition: ({ chamber, solved: { lengthM } }: ChamberCase) =>
    !REACHED_INTO.has(chamber.use) || lengthM === null || lengthM >= HAND_M ? [] : [lengthM],
  title: ({ chamber }) => sentence('{chamber} is too short for a hand', { chamber: chamber.name }),
  reason: (_, lengthM) =>
    sentence('It is {length} long. Leave {least} to reach in and to take things out.', {
      length: ['length', lengthM],
      least: ['length', HAND_M],
    }),
})
