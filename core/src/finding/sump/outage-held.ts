import { sentence } from '../../quantity/index.ts'
import { type OutageCase, outageState, outageValues } from '../case/outage-case.ts'
import { holdsFor, rule } from '../rule.ts'

/** Rest levels nearer than this are the same, m. */
const SAME_M = 1e-6

export const outageHeld = rule({
  code: 'outage-held',
  station: 'sump',
  severities: ['watch', 'fine'],
  holds: 'What comes down in a power cut stays in the sump.',
  condition: (outageCase: OutageCase) => holdsFor(outageState(outageCase) === 'held'),
  severity: ({ outage }) => (outage.marginM > outage.marginBandM ? 'fine' : 'watch'),
  title: (outageCase) =>
    sentence(
      outageCase.outage.marginM > outageCase.outage.marginBandM
        ? 'A power cut stays in the sump: it stops {left} under its rim'
        : 'Whether a power cut stays in the sump is too near to call: it stops {left} under its rim',
      { left: outageValues(outageCase).left },
    ),
  reason: (outageCase) => {
    const { back, line } = outageValues(outageCase)
    const { withoutCheck } = outageCase.outage
    if (withoutCheck === null || withoutCheck.stillM <= outageCase.outage.stillM + SAME_M) {
      return sentence(
        '{back} comes down. Mark the glass at {line}: fill no higher than this while it runs.',
        { back, line },
      )
    }
    const { floorHeightM } = outageCase.box
    if (withoutCheck.fillLineM === null) {
      return sentence(
        '{back} comes down. Mark the glass at {line}: fill no higher than this while it runs. That rests on a check valve: stuck open, {missing} would have no room at any level.',
        { back, line, missing: ['volume', withoutCheck.missingM3] },
      )
    }
    return sentence(
      '{back} comes down. Mark the glass at {line}: fill no higher than this while it runs. That rests on a check valve: stuck open, the line would be {open}.',
      { back, line, open: ['length', withoutCheck.fillLineM - floorHeightM] },
    )
  },
})
