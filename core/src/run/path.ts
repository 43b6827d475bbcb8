import { boreOf, type PipeSize } from '../pipe/index.ts'
import type { Direction, Piece, Run } from './piece.ts'

/** Room coordinates: x right from the tank's left inside face, y back from its front inside face, z up from the room's floor. */
export interface Point {
  readonly xM: number
  readonly yM: number
  readonly zM: number
}

/** A piece in its place: where it starts and ends, and the size before and after it. */
export interface PlacedPiece {
  readonly piece: Piece
  readonly from: Point
  readonly to: Point
  readonly sizeBefore: PipeSize
  readonly sizeAfter: PipeSize
  readonly boreBeforeM: number
  readonly boreAfterM: number
  /** Of the size the piece is of. */
  readonly tradeSizeIn: number
}

const UNIT: Readonly<Record<Direction, readonly [number, number, number]>> = {
  right: [1, 0, 0],
  left: [-1, 0, 0],
  back: [0, 1, 0],
  front: [0, -1, 0],
  up: [0, 0, 1],
  down: [0, 0, -1],
}

/** The axis a direction runs along. */
export function axisOf(direction: Direction): 'xM' | 'yM' | 'zM' {
  if (direction === 'up' || direction === 'down') return 'zM'
  return direction === 'left' || direction === 'right' ? 'xM' : 'yM'
}

/** +1 along its axis or −1 against it. */
export function signOf(direction: Direction): 1 | -1 {
  return direction === 'up' || direction === 'right' || direction === 'back' ? 1 : -1
}

/** The run laid out from the pump's outlet. Drawing, lift, losses and parts all read this one list. */
export function placePieces(run: Run, start: Point): PlacedPiece[] {
  let at = start
  let size = run.size
  let { boreM, tradeSizeIn } = boreOf(size)
  return run.pieces.map((piece) => {
    const from = at
    const sizeBefore = size
    const boreBeforeM = boreM
    if (piece.kind === 'pipe') at = moved(at, piece.direction, piece.lengthM)
    if (piece.kind === 'free-hose') {
      at = { xM: at.xM + piece.byXM, yM: at.yM + piece.byYM, zM: at.zM + piece.byZM }
    }
    if (piece.kind === 'reducer') {
      size = piece.to
      ;({ boreM, tradeSizeIn } = boreOf(size))
    }
    return {
      piece,
      from,
      to: at,
      sizeBefore,
      sizeAfter: size,
      boreBeforeM,
      boreAfterM: boreM,
      tradeSizeIn,
    }
  })
}

/** Where the water leaves. */
export function mouthOf(placed: readonly PlacedPiece[], start: Point): Point {
  return placed.at(-1)?.to ?? start
}

/** A place so far along a direction from another. */
export function moved(at: Point, direction: Direction, lengthM: number): Point {
  const [x, y, z] = UNIT[direction]
  return { xM: at.xM + x * lengthM, yM: at.yM + y * lengthM, zM: at.zM + z * lengthM }
}
