import { sentence } from '../../quantity/index.ts'
import type { PumpCase } from '../case/pump-case.ts'
import { WASTED_SHARE } from '../limits.ts'
import { rule } from '../rule.ts'

/** A controllable pump throttled by a valve on its only way, where turning it down would do. */
export const valveDoesPumpsWork = rule({
  code: 'valve-does-pumps-work',
  station: 'return',
  severities: ['watch'],
  holds: 'A valve eats much of the head of a pump that could be turned down.',
  condition: ({ pump, solved, laid, feeds }: PumpCase) => {
    const { headM } = solved.pump
    if (pump.part.control !== 'controllable' || headM <= 0 || solved.flowM3PerS <= 0) return []
    if (feeds.length > 1) return []
    const at = solved.pieces.findIndex((piece) => piece.kind === 'valve')
    const piece = laid.line.run.pieces[at]
    if (piece?.kind !== 'valve' || piece.opening >= 1) return []
    const { lossM } = solved.pieces[at]!
    return lossM < WASTED_SHARE * headM ? [] : [{ piece, at, lossM }]
  },
  title: () => sentence('A valve does the pump’s work'),
  reason: ({ solved }, { lossM }) =>
    sentence(
      'It eats {lost} of the {head} the pump makes. Opened, with the pump turned down, the same flow costs less power and less noise.',
      { lost: ['head', lossM], head: ['head', solved.pump.headM] },
    ),
  where: (_, { piece }) => ({ pieceId: piece.id }),
})
