import { type Edit, setTo } from '../design/index.ts'
import type { LaidLine } from '../layout/index.ts'
import { axisOf, type Piece, type Point, signOf } from '../run/index.ts'

/** One length or leg of a run's pieces made longer or shorter. */
export interface Stretched {
  readonly piece: number
  readonly key: 'lengthM' | 'byXM' | 'byYM' | 'byZM'
  readonly toM: number
}

/** No shorter pipe is proposed, m. */
const SHORTEST_M = 0.01
/** What moves less stays, m. */
const NO_MOVE_M = 1e-6
const HOSE_KEYS = { xM: 'byXM', yM: 'byYM', zM: 'byZM' } as const
const AXES = ['xM', 'yM', 'zM'] as const

/** Which pipe along an axis gives: the last, or the longest, which is a riser. */
export type StretchPick = 'last' | 'longest'

/** What of a run's pieces becomes how long, so that its mouth moves by so much; null where it can't. */
export function stretchedBy(
  pieces: readonly Piece[],
  by: Point,
  pick: StretchPick = 'last',
): readonly Stretched[] | null {
  const changes = AXES.filter((axis) => Math.abs(by[axis]) > NO_MOVE_M).map((axis) =>
    stretched(pieces, { axis, byM: by[axis], pick }),
  )
  const possible = changes.filter((change) => change !== null)
  return possible.length < changes.length ? null : possible
}

/** A pipe of a run along each axis, changed so that its mouth comes to a place; null where none can be. */
export function stretchEdits({ mouth, line, index }: LaidLine, wanted: Point): Edit[] | null {
  const changes = stretchedBy(line.run.pieces, {
    xM: wanted.xM - mouth.xM,
    yM: wanted.yM - mouth.yM,
    zM: wanted.zM - mouth.zM,
  })
  return (
    changes?.map(({ piece, key, toM }) =>
      setTo(['returnSide', 'lines', index, 'run', 'pieces', piece, key], toM),
    ) ?? null
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

/** The piece along an axis that can be made so much longer or shorter; a free hose leads anywhere. */
function stretched(
  pieces: readonly Piece[],
  { axis, byM, pick }: { axis: keyof Point; byM: number; pick: StretchPick },
): Stretched | null {
  const longerM = (piece: Piece) =>
    piece.kind === 'pipe' && axisOf(piece.direction) === axis
      ? piece.lengthM + signOf(piece.direction) * byM
      : 0
  const can = pieces.filter((piece) => longerM(piece) >= SHORTEST_M)
  const found = pick === 'last' ? can.at(-1) : can.toSorted((a, b) => lengthOf(b) - lengthOf(a))[0]
  if (found) return { piece: pieces.indexOf(found), key: 'lengthM', toM: longerM(found) }
  const hose = pieces.findLastIndex((piece) => piece.kind === 'free-hose')
  const piece = pieces[hose]
  if (piece?.kind !== 'free-hose') return null
  return { piece: hose, key: HOSE_KEYS[axis], toM: piece[HOSE_KEYS[axis]] + byM }
}

const lengthOf = (piece: Piece) => (piece.kind === 'pipe' ? piece.lengthM : 0)
