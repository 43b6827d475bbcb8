import type { Edit } from '../design/index.ts'
import { kept } from '../numeric/index.ts'
import { isHose, nearestSize, type PipeSeries, sizeWords } from '../pipe/index.ts'
import { sentence } from '../quantity/index.ts'
import type { Piece } from '../run/index.ts'
import {
  aboutLine,
  type Finding,
  type Fix,
  type LineCase,
  lineWords,
  piecesPath,
} from './finding.ts'
import { CURVE_SHARE, freeId, ofLine } from './line.ts'
import { fixOfFlow, flowWith } from './try-out.ts'

/** So many hard elbows with nothing but short pipe between them are worth a hose. */
const IN_A_ROW = 3
/** Pipe between two elbows longer than this parts them (choice). */
const PARTS_M = 0.5

/** Hard elbows one after another, and what a hose in their place would save. */
export function elbowFindings(line: LineCase): Finding[] {
  return elbowRows(line.laid.line.run.pieces)
    .filter(({ first }) => !isHose(line.laid.placed[first]!.sizeBefore.series))
    .map((row) => elbowFinding(line, row))
}

interface ElbowRow {
  readonly first: number
  readonly last: number
  readonly elbows: number
}

/** Pieces that nobody moves have the same rows. */
const elbowRows = kept((pieces: readonly Piece[]): ElbowRow[] => {
  const rows: ElbowRow[] = []
  let row: ElbowRow | null = null
  const close = () => {
    if (row && row.elbows >= IN_A_ROW) rows.push(row)
    row = null
  }
  pieces.forEach((piece, index) => {
    if (piece.kind === 'elbow' && piece.form !== 'hose-bend-90') {
      row = { first: row?.first ?? index, last: index, elbows: (row?.elbows ?? 0) + 1 }
    } else if (piece.kind !== 'pipe' || piece.lengthM > PARTS_M) close()
  })
  close()
  return rows
})

function elbowFinding(line: LineCase, row: ElbowRow): Finding {
  const { solved } = line
  const lostM = solved.pieces
    .slice(row.first, row.last + 1)
    .reduce((sum, piece) => sum + piece.lossM, 0)
  return aboutLine(line, {
    code: 'hard-elbows-in-a-row',
    severity: 'watch',
    title: sentence(`${lineWords(line)}${row.elbows} hard elbows in a row`),
    reason: sentence(
      'They and the short pipes between them cost {lost}. Hose may curve from the first to the last; ribbed hose bends tighter and costs more than smooth.',
      { lost: ['head', lostM] },
    ),
    pieceId: solved.pieces[row.first]!.pieceId,
    fixes: () =>
      (['smooth-hose', 'ribbed-hose'] as const)
        .map((series) => hoseFix(line, row, series))
        .filter((fix) => fix !== null),
  })
}

/** The row replaced by hose of about the same bore; null where the hose would bring no more. */
function hoseFix(line: LineCase, { first, last }: ElbowRow, series: PipeSeries): Fix | null {
  const { laid, solved } = line
  const before = laid.placed[first]!
  const after = laid.placed[last]!
  const by = {
    byXM: after.to.xM - before.from.xM,
    byYM: after.to.yM - before.from.yM,
    byZM: after.to.zM - before.from.zM,
  }
  const straightM = Math.hypot(by.byXM, by.byYM, by.byZM)
  if (straightM < 0.02) return null
  const hose = nearestSize(series, before.boreBeforeM)
  const to = (name: string, size: typeof hose): Piece => ({
    id: freeId(line, `${before.piece.id}-${name}`),
    kind: 'reducer',
    to: size,
    angleDeg: null,
  })
  const item: Piece = {
    id: freeId(line, `${before.piece.id}-hose`),
    kind: 'free-hose',
    lengthM: straightM * CURVE_SHARE,
    ...by,
  }
  const { pieces } = laid.line.run
  const edits: Edit[] = [
    {
      op: 'set',
      path: piecesPath(line),
      to: [
        ...pieces.slice(0, first),
        to('barb', hose),
        item,
        to('back', after.sizeAfter),
        ...pieces.slice(last + 1),
      ],
    },
  ]
  const flow = flowWith(line.solving.steady, edits, ofLine(line))
  if (flow <= solved.flowM3PerS) return null
  return fixOfFlow(sentence(`Curve ${sizeWords(hose)} in their place`), edits, flow)
}
