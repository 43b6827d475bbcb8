import { sentence } from '../../quantity/index.ts'
import { type OutageCase, outageState, outageValues } from '../case/outage-case.ts'
import { holdsFor, rule } from '../rule.ts'

export const aboveFillLine = rule({
  code: 'above-fill-line',
  stop: 'sump',
  severities: ['stop', 'watch'],
  holds: 'The return chamber runs higher than a power cut leaves room for.',
  condition: (one: OutageCase) => holdsFor(outageState(one) === 'above'),
  severity: ({ outage }) => (outage.spills ? 'stop' : 'watch'),
  title: (one) =>
    one.outage.spills
      ? sentence('A power cut spills the sump')
      : sentence('A power cut leaves only {left} to the sump’s rim', {
          left: outageValues(one).left,
        }),
  reason: (one) => {
    const { back, line } = outageValues(one)
    return sentence('{back} comes down, and the sump runs above its line of {line}.', {
      back,
      line,
    })
  },
  where: ({ whole, returnIndex }) => ({ chamberId: whole.design.sump.chambers[returnIndex]!.id }),
})
