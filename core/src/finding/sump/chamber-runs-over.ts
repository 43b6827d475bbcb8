import { sentence } from '../../quantity/index.ts'
import type { ChamberCase } from '../case/chamber-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const chamberRunsOver = rule({
  code: 'chamber-runs-over',
  station: 'sump',
  severities: ['stop'],
  holds: 'A chamber’s water stands over the sump’s rim.',
  condition: ({ solved }: ChamberCase) => holdsFor(solved.spills && !solved.starved),
  title: ({ chamber }) => sentence('{chamber} runs over the sump’s rim', { chamber: chamber.name }),
  reason: ({ outWall, solved }) =>
    outWall < 0
      ? sentence('It is filled to more than the sump is high.')
      : sentence('{flow} comes in, and its wall does not let that on below the rim.', {
          flow: ['flow', solved.throughM3PerS],
        }),
})
