import { sentence } from '../../quantity/index.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const noFlowAtThisSpeed = rule({
  code: 'no-flow-at-this-speed',
  station: 'return',
  severities: ['stop'],
  holds: 'The pump does not lift water to a line’s end.',
  condition: ({ solved: { status } }: LineCase) =>
    holdsFor(status !== 'flows' && status !== 'shut' && status !== 'flows-back'),
  title: (line) => sentence('{where}No flow at this speed', { where: lineWords(line) }),
  reason: ({ solved }) => {
    const { pump } = solved
    return pump.stopped
      ? sentence('Its pump is switched off.')
      : sentence(
          'At {speed} the pump reaches {head} with nothing flowing; the end of the run is {lift} above the sump’s water. It needs {least} of its full speed to begin.',
          {
            speed: ['share', pump.speed],
            head: ['head', pump.shutOffHeadM],
            lift: ['head', solved.liftM],
            least: ['share', solved.leastSpeedToLift],
          },
        )
  },
})
