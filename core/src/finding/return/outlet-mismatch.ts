import { transitionLoss } from '../../fitting/index.ts'
import { boreOf, speedMPerS, velocityHeadM } from '../../pipe/index.ts'
import { sentence } from '../../quantity/index.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { BORE_MATCH_SHARE } from '../limits.ts'
import { rule } from '../rule.ts'

/** The line begins in another bore than the pump's outlet. */
export const outletMismatch = rule({
  code: 'outlet-mismatch',
  station: 'return',
  severities: ['watch'],
  holds: 'A pump’s outlet and the line on it have different bores.',
  condition: ({ laid, solved, pump }: LineCase) => {
    const { start, run } = laid.line
    const outletM = pump.part.outletBoreM
    const lineM = boreOf(run.size).boreM
    if (start.at !== 'pump' || Math.abs(lineM - outletM) <= BORE_MATCH_SHARE * outletM) return []
    const step = { fromBoreM: outletM, toBoreM: lineM, angleDeg: null }
    const speed = speedMPerS(Math.abs(solved.startFlowM3PerS), Math.min(outletM, lineM))
    return [{ outletM, lineM, lossM: transitionLoss(step).k * velocityHeadM(speed) }]
  },
  title: (line) =>
    sentence('{where}The pump’s outlet and the line do not match', { where: lineWords(line) }),
  reason: (_, { outletM, lineM, lossM }) =>
    sentence(
      'The outlet’s bore is {outlet}, the line’s {line}. The adapter between them costs about {loss} at this flow, which is counted.',
      { outlet: ['length', outletM], line: ['length', lineM], loss: ['head', lossM] },
    ),
  where: ({ laid }) => ({ pieceId: laid.line.run.pieces[0]?.id ?? null }),
})
