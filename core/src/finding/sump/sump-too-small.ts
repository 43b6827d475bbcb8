import { sentence } from '../../quantity/index.ts'
import { type OutageCase, outageState, outageValues } from '../case/outage-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** A stop where the power cut of the present level spills; a watch where only the reserve is missing. */
export const sumpTooSmall = rule({
  code: 'sump-too-small',
  station: 'sump',
  severities: ['stop', 'watch'],
  holds: 'No level that the pump can run at leaves room for what comes down.',
  condition: (outageCase: OutageCase) => holdsFor(outageState(outageCase) === 'too-small'),
  severity: ({ outage }) => (outage.spills ? 'stop' : 'watch'),
  title: () => sentence('The sump is too small for what comes down'),
  reason: (outageCase) => {
    const { back, free, missing } = outageValues(outageCase)
    if (outageCase.outage.fillLineM === null) {
      return sentence(
        'A power cut brings {back}. Even with the return chamber empty, {missing} of it would have no room under the margin. A shorter siphon back, less water over the rim or a bigger sump helps.',
        { back, missing },
      )
    }
    return sentence(
      'A power cut brings {back}; up to the rim there is room for {free}, and the return chamber can’t run low enough to make more. A shorter siphon back, less water over the rim or a bigger sump helps.',
      { back, free },
    )
  },
})
