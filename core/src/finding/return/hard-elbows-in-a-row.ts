import { isHose } from '../../pipe/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { Piece } from '../../run/index.ts'
import type { LineAsDrawn } from '../case/line-as-drawn.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { ELBOWS_IN_A_ROW, PARTS_ELBOWS_M } from '../limits.ts'
import { drawnRule } from '../drawn-rule.ts'

/** Hard elbows one after another, with short pipe between them. */
export interface ElbowRow {
  readonly first: number
  readonly last: number
  readonly elbows: number
}

/** Pieces that nobody moves have the same rows. */
function elbowRows(pieces: readonly Piece[]): ElbowRow[] {
  const rows: ElbowRow[] = []
  let row: ElbowRow | null = null
  const close = () => {
    if (row && row.elbows >= ELBOWS_IN_A_ROW) rows.push(row)
    row = null
  }
  pieces.forEach((piece, index) => {
    if (piece.kind === 'elbow' && piece.form !== 'hose-bend-90') {
      row = { first: row?.first ?? index, last: index, elbows: (row?.elbows ?? 0) + 1 }
    } else if (piece.kind !== 'pipe' || piece.lengthM > PARTS_ELBOWS_M) close()
  })
  close()
  return rows
}

/** Losses of elbows close to each other do not add up as the tables have them. */
export const hardElbowsInARow = drawnRule({
  code: 'hard-elbows-in-a-row',
  station: 'return',
  severities: ['watch'],
  holds: 'Several hard elbows follow each other, where a hose may curve.',
  condition: ({ line, placed }: LineAsDrawn) =>
    elbowRows(line.run.pieces).filter(({ first }) => !isHose(placed[first]!.sizeBefore.series)),
  title: (line: LineCase, { elbows }) =>
    sentence('{where}{elbows} hard elbows in a row', {
      where: lineWords(line),
      elbows: String(elbows),
    }),
  reason: ({ solved }, { first, last }) =>
    sentence(
      'They and the short pipes between them cost {lost}. Hose may curve from the first to the last; ribbed hose bends tighter and costs more than smooth.',
      {
        lost: [
          'head',
          solved.pieces.slice(first, last + 1).reduce((sum, piece) => sum + piece.lossM, 0),
        ],
      },
    ),
  where: ({ solved }, { first }) => ({ pieceId: solved.pieces[first]!.pieceId }),
})
