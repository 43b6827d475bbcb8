import { type Edit, setTo } from '../design/index.ts'
import type { LaidLine } from '../layout/index.ts'
import { axisOf, type Piece, type Point, signOf } from '../run/index.ts'

/** One length or leg of a run's pieces made longer or shorter. */
interface Stretched {
  readonly piece: number
  readonly key: 'lengthM' | 'byXM' | 'byYM' | 'byZM'
  readonly toM: number
}

/** No shorter pipe is proposed, m. */
const SHORTEST_M = 0.01
const HOSE_KEYS = { xM: 'byXM', yM: 'byYM', zM: 'byZM' } as const
const AXES = ['xM', 'yM', 'zM'] as const

/** The last pipe along each axis that can be, changed so that a run's mouth comes to a place; null where none can be. */
export function stretchEdits({ mouth, line, index }: LaidLine, wanted: Point): Edit[] | null {
  const changes = AXES.filter((axis) => Math.abs(wanted[axis] - mouth[axis]) > 1e-6).map((axis) =>
    stretched(line.run.pieces, axis, wanted[axis] - mouth[axis]),
  )
  const possible = changes.filter((change) => change !== null)
  if (possible.length < changes.length) return null
  return possible.map(({ piece, key, toM }) =>
    setTo(['returnSide', 'lines', index, 'run', 'pieces', piece, key], toM),
  )
}

/** The same for a run whose beginning is moved by so much: its mouth stays where it is. */
export function mouthKept(laid: LaidLine, by: Point): Edit[] | null {
  const { mouth } = laid
  return stretchEdits(laid, {
    xM: mouth.xM - by.xM,
    yM: mouth.yM - by.yM,
    zM: mouth.zM - by.zM,
  })
}

/** The last piece along an axis that can be made so much longer or shorter; a free hose leads anywhere. */
function stretched(
  pieces: readonly Piece[],
  axis: 'xM' | 'yM' | 'zM',
  byM: number,
): Stretched | null {
  const longerM = (piece: Piece) =>
    piece.kind === 'pipe' && axisOf(piece.direction) === axis
      ? piece.lengthM + signOf(piece.direction) * byM
      : 0
  const at = pieces.findLastIndex((piece) => longerM(piece) >= SHORTEST_M)
  if (at >= 0) return { piece: at, key: 'lengthM', toM: longerM(pieces[at]!) }
  const hose = pieces.findLastIndex((piece) => piece.kind === 'free-hose')
  const piece = pieces[hose]
  if (piece?.kind !== 'free-hose') return null
  return { piece: hose, key: HOSE_KEYS[axis], toM: piece[HOSE_KEYS[axis]] + byM }
}
