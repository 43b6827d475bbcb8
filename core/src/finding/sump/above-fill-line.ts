import { sentence } from '../../quantity/index.ts'
import { type OutageCase, outageState, outageValues } from '../case/outage-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** Running higher than `fillLine` lets a power cut over the rim. */
export const aboveFillLine = rule({
  code: 'above-fill-line',
  station: 'sump',
  severities: ['stop', 'watch'],
  holds: 'The return chamber runs higher than a power cut leaves room for.',
  condition: (outageCase: OutageCase) => holdsFor(outageState(outageCase) === 'above'),
  severity: ({ outage }) => (outage.spills ? 'stop' : 'watch'),
  title: (outageCase) =>
    outageCase.outage.spills
      ? sentence('A power cut spills the sump')
      : sentence('A power cut leaves only {left} to the sump’s rim', {
          left: outageValues(outageCase).left,
        }),
  reason: (outageCase) => {
    const { back, line } = outageValues(outageCase)
    return sentence('{back} comes down, and the sump runs above its line of {line}.', {
      back,
      line,
    })
  },
  where: ({ whole, returnIndex }) => ({ chamberId: whole.design.sump.chambers[returnIndex]!.id }),
})
