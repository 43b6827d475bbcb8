import { isHose } from '../../pipe/index.ts'
import { sentence } from '../../quantity/index.ts'
import { axisOf, type PipePiece, type PlacedPiece, signOf } from '../../run/index.ts'
import type { LineAsDrawn } from '../case/line-as-drawn.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { drawnRule } from '../drawn-rule.ts'

/** Rigid pipe that turns by itself: which, and by how much. */
export interface MissingTurn {
  readonly piece: PipePiece
  readonly index: number
  readonly missingDeg: number
}

/** A line is laid once, and turns the same as long as it lies so. */
function turnsMissing(placed: readonly PlacedPiece[]): MissingTurn[] {
  const found: MissingTurn[] = []
  let last: PipePiece | null = null
  let turned = 0
  placed.forEach(({ piece, sizeBefore }, index) => {
    if (piece.kind === 'elbow') turned += piece.form === 'standard-45' ? 45 : 90
    if (piece.kind === 'tee' && piece.form !== 'side') turned += 90
    // Free hose takes any turn with it.
    if (piece.kind === 'free-hose') last = null
    if (piece.kind !== 'pipe') return
    const missingDeg: number = last ? turnBetween(last, piece) - turned : 0
    if (missingDeg > 0 && !isHose(sizeBefore.series)) found.push({ piece, index, missingDeg })
    last = piece
    turned = 0
  })
  return found
}

/** Degrees between two directions: 0, 90 or 180. */
function turnBetween(from: PipePiece, to: PipePiece): number {
  if (axisOf(from.direction) !== axisOf(to.direction)) return 90
  return signOf(from.direction) === signOf(to.direction) ? 0 : 180
}

/** Two pipes of different direction meet, and nothing turns the water. */
export const turnWithoutElbow = drawnRule({
  code: 'turn-without-elbow',
  station: 'return',
  severities: ['watch'],
  holds: 'Rigid pipe changes its direction with nothing between to turn it.',
  condition: ({ placed }: LineAsDrawn) => turnsMissing(placed),
  title: (line: LineCase, { piece }) =>
    sentence('{where}It turns {direction} without an elbow', {
      where: lineWords(line),
      direction: piece.direction,
    }),
  reason: () => sentence('Rigid pipe cannot turn by itself, and the turn’s loss is not counted.'),
  where: (_, { piece }) => ({ pieceId: piece.id }),
})
