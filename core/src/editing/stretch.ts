import type { LaidLine } from '../layout/index.ts'
import { axisOf, type Piece, type PipePiece, type Point, signOf } from '../run/index.ts'

/** One length or leg of a run's pieces made longer or shorter. */
export interface Stretched {
  readonly piece: number
  readonly key: 'lengthM' | 'byXM' | 'byYM' | 'byZM'
  readonly toM: number
}

/** No shorter pipe is proposed, m. */
const SHORTEST_M = 0.01
const HOSE_KEYS = { xM: 'byXM', yM: 'byYM', zM: 'byZM' } as const
const AXES = ['xM', 'yM', 'zM'] as const

/** The last pipe along each axis changed so that a run's mouth comes to a place; null where one can't be. */
export function stretchRun({ mouth, line }: LaidLine, wanted: Point): Stretched[] | null {
  const changes = AXES.filter((axis) => Math.abs(wanted[axis] - mouth[axis]) > 1e-6).map((axis) =>
    stretched(line.run.pieces, axis, wanted[axis] - mouth[axis]),
  )
  const possible = changes.filter((change) => change !== null)
  return possible.length === changes.length ? possible : null
}

/** The last piece along an axis, made longer or shorter by so much; a free hose leads anywhere. */
function stretched(
  pieces: readonly Piece[],
  axis: 'xM' | 'yM' | 'zM',
  byM: number,
): Stretched | null {
  const at = pieces.findLastIndex(
    (piece) => piece.kind === 'pipe' && axisOf(piece.direction) === axis,
  )
  const pipe = pieces[at] as PipePiece | undefined
  const lengthM = pipe ? pipe.lengthM + signOf(pipe.direction) * byM : 0
  if (lengthM >= SHORTEST_M) return { piece: at, key: 'lengthM', toM: lengthM }
  const hose = pieces.findLastIndex((piece) => piece.kind === 'free-hose')
  const piece = pieces[hose]
  if (piece?.kind !== 'free-hose') return null
  return { piece: hose, key: HOSE_KEYS[axis], toM: piece[HOSE_KEYS[axis]] + byM }
}
