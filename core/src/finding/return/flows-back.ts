import { sentence } from '../../quantity/index.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const flowsBack = rule({
  code: 'flows-back',
  station: 'return',
  severities: ['stop'],
  holds: 'Water runs back from a line’s end through the pump.',
  condition: ({ solved }: LineCase) => holdsFor(solved.status === 'flows-back'),
  title: (line) =>
    sentence('{where}The tank runs back through the pump', { where: lineWords(line) }),
  reason: ({ solved }) =>
    sentence(
      'The end is under water and the pump reaches {head} of the {lift} it must lift, so {flow} runs back.',
      {
        head: ['head', solved.pump.shutOffHeadM],
        lift: ['head', solved.liftM],
        flow: ['flow', -solved.flowM3PerS, solved.flowBandM3PerS],
      },
    ),
})
