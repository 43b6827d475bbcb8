import { flatMap } from '../../numeric/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { LineAsDrawn } from '../case/line-as-drawn.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { drawnRule } from '../drawn-rule.ts'

export const hoseTooShort = drawnRule({
  code: 'hose-too-short',
  station: 'return',
  severities: ['stop'],
  holds: 'A hose is shorter than the straight way it must reach.',
  condition: ({ line }: LineAsDrawn) =>
    flatMap(line.run.pieces, (piece, index) => {
      if (piece.kind !== 'free-hose') return []
      const straightM = Math.hypot(piece.byXM, piece.byYM, piece.byZM)
      return piece.lengthM >= straightM ? [] : [{ piece, index, straightM }]
    }),
  title: (line: LineCase, { piece, straightM }) =>
    sentence('{where}The hose is {short} too short', {
      where: lineWords(line),
      short: ['length', straightM - piece.lengthM],
    }),
  reason: (_, { piece, straightM }) =>
    sentence('It is {long} long and must reach {far} in a straight line; a curve takes more.', {
      long: ['length', piece.lengthM],
      far: ['length', straightM],
    }),
  where: (_, { piece }) => ({ pieceId: piece.id }),
})
