import { sentence } from '../../quantity/index.ts'
import type { LineCase } from '../case/line-case.ts'
import { factIf, rule } from '../rule.ts'

export const checkValveOnlyGuard = rule({
  code: 'check-valve-only-guard',
  station: 'return',
  severities: ['watch'],
  holds: 'Nothing but a check valve keeps a tank from running back through a line.',
  condition: ({ laid }: LineCase) => {
    const { end, run } = laid.line
    if (laid.end !== 'under-water' || end.at !== 'tank' || end.breakDepthM !== null) return []
    return factIf(run.pieces.find((piece) => piece.kind === 'check-valve'))
  },
  title: () => sentence('A check valve is all that keeps this tank from running back'),
  reason: () =>
    sentence(
      'Its flap fouls with growth and stays open. Count on it for nothing: end the line above the water, or drill a break hole just under the surface and keep it clean.',
    ),
  where: (_, check) => ({ pieceId: check.id }),
})
