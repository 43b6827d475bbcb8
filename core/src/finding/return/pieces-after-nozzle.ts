import { sentence } from '../../quantity/index.ts'
import type { LineAsDrawn } from '../case/line-as-drawn.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { drawnRule } from '../drawn-rule.ts'

export const piecesAfterNozzle = drawnRule({
  code: 'pieces-after-nozzle',
  station: 'return',
  severities: ['stop'],
  holds: 'A line continues behind its nozzle.',
  condition: ({ line }: LineAsDrawn) => {
    const { pieces } = line.run
    const nozzle = pieces.findIndex((piece) => piece.kind === 'nozzle')
    return nozzle < 0 || nozzle === pieces.length - 1 ? [] : [nozzle]
  },
  title: (line: LineCase) =>
    sentence('{where}The run continues after its nozzle', { where: lineWords(line) }),
  reason: () =>
    sentence('A nozzle is the end of a run. Move it last, or take out what follows it.'),
  where: ({ laid }, nozzle) => ({ pieceId: laid.line.run.pieces[nozzle]!.id }),
})
