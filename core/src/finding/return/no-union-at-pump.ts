import { isHose } from '../../pipe/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { PumpCase } from '../case/pump-case.ts'
import { BESIDE_PUMP_M } from '../limits.ts'
import { rule } from '../rule.ts'

/** Rigid pipe on a pump without a union near it: the pump cannot be taken out to be cleaned. */
export const noUnionAtPump = rule({
  code: 'no-union-at-pump',
  station: 'return',
  severities: ['watch'],
  holds: 'Rigid pipe leaves a pump without a joint near it that comes apart.',
  condition: ({ laid }: PumpCase) => {
    const { pieces, size } = laid.line.run
    if (isHose(size.series) || pieces.length === 0) return []
    let pipeM = 0
    for (const piece of pieces) {
      if (piece.kind === 'union') return []
      if (piece.kind === 'reducer' && isHose(piece.to.series)) return []
      if (piece.kind === 'pipe') pipeM += piece.lengthM
      if (pipeM > BESIDE_PUMP_M || piece.kind === 'tee') break
    }
    return [pieces[0]!]
  },
  title: () => sentence('There is no union beside the pump'),
  reason: () =>
    sentence(
      'A pump is taken out to be cleaned twice a year or more. Without a joint that comes apart, rigid pipe must be cut.',
    ),
  where: (_, first) => ({ pieceId: first.id }),
})
