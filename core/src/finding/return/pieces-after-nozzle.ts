import { sentence } from '../../quantity/index.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { rule } from '../rule.ts'

export const piecesAfterNozzle = rule({
  code: 'pieces-after-nozzle',
  station: 'return',
  severities: ['stop'],
  holds: 'A line continues behind its nozzle.',
  condition: ({ laid }: LineCase) => {
    const { pieces } = laid.line.run
    const nozzle = pieces.findIndex((piece) => piece.kind === 'nozzle')
    return nozzle < 0 || nozzle === pieces.length - 1 ? [] : [nozzle]
  },
  title: (line) =>
    sentence('{where}The run continues after its nozzle', { where: lineWords(line) }),
  reason: () =>
    sentence('A nozzle is the end of a run. Move it last, or take out what follows it.'),
  where: ({ laid }, nozzle) => ({ pieceId: laid.line.run.pieces[nozzle]!.id }),
})
