import { sentence } from '../../quantity/index.ts'
import type { ChamberCase } from '../case/chamber-case.ts'
import { rule } from '../rule.ts'

/** A chamber whose water is not what the keeper says that its skimmer works in. */
export const chamberDepth = rule({
  code: 'skimmer-depth',
  station: 'sump',
  severities: ['watch'],
  holds: 'A skimmer stands in more or less water than it works in.',
  condition: ({ chamber, solved: { depthM } }: ChamberCase) => {
    const wants = chamber.wantsDepth
    if (!wants || depthM === null) return []
    const shallow = depthM < wants.leastM
    return !shallow && depthM <= wants.mostM ? [] : [{ wants, depthM, shallow }]
  },
  title: ({ chamber }, { depthM, shallow }) =>
    sentence(
      shallow ? '{chamber} stands too shallow: {depth}' : '{chamber} stands too deep: {depth}',
      { chamber: chamber.name, depth: ['length', depthM] },
    ),
  reason: (_, { wants }) =>
    sentence('The skimmer in it works in {least} to {most} of water.', {
      least: ['length', wants.leastM],
      most: ['length', wants.mostM],
    }),
})
