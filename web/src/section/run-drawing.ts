import {
  moved,
  SERIES_SIZES,
  type Direction,
  type Piece,
  type PipeSize,
  type Point,
  type Run,
  type Solved,
} from '@yew-basin/core'
import { onSheet, type Sheet, type SheetView } from './scale.ts'

/** A straight of the run on the sheet. */
export interface DrawnPipe {
  readonly pieceId: string
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
  readonly outsidePx: number
  readonly borePx: number
  /** Seconds a dash takes to move its own length: faster water moves faster; zero: the water stands. */
  readonly dashS: number
  readonly backwards: boolean
  /** Goes away from the eye or towards it: drawn as a ring. */
  readonly depth: 'towards' | 'away' | null
  /** A curve for hose that goes where it likes; null: straight. */
  readonly curve: string | null
}

/** A fitting on the sheet, turned along the pipe it sits in. */
export interface DrawnFitting {
  readonly piece: Piece
  readonly x: number
  readonly y: number
  readonly turnDeg: number
  readonly halfPx: number
}

export interface DrawnRun {
  readonly lineId: string
  readonly filling: Filling
  readonly pipes: readonly DrawnPipe[]
  readonly fittings: readonly DrawnFitting[]
}

/** Plastic wall where a standard gives no outside diameter, m. */
const HOSE_WALL_M = 0.0025
const LEAST_OUTSIDE_PX = 5
const LEAST_BORE_PX = 2.5
/** Length of one dash and gap of the moving water, px. */
export const DASH_PX = 22

/** A piece in its place, of a line or of a drain. */
type Placed = Solved<'drain-piece'>

/** What a pipe is full of. */
export type Filling = 'water' | 'film' | 'air'

/** A line or a drain as the core placed it, on the sheet. */
export function drawRun(
  line: { readonly id: string; readonly run: Run },
  solved: { readonly pieces: readonly Placed[] },
  sheet: Sheet,
  filling: Filling = 'water',
): DrawnRun {
  const { pieces } = line.run
  const pipes: DrawnPipe[] = []
  const fittings: DrawnFitting[] = []
  let size = line.run.size
  solved.pieces.forEach((placed, index) => {
    const piece = pieces[index]
    if (!piece) return
    if (piece.kind === 'reducer') size = piece.to
    if (piece.kind === 'pipe' || piece.kind === 'free-hose') {
      const wallM = outsideOf(size) ?? placed.boreM + 2 * HOSE_WALL_M
      pipes.push(drawnPipe(placed, { pieces, index, outsideM: wallM, sheet }))
    } else if (piece.kind !== 'elbow') {
      fittings.push(drawnFitting(solved.pieces, pieces, index, sheet))
    }
  })
  return { lineId: line.id, filling, pipes, fittings }
}

function outsideOf({ series, size }: PipeSize): number | null {
  return SERIES_SIZES[series].find((row) => row.size === size)?.outsideM ?? null
}

function drawnPipe(
  placed: Placed,
  {
    pieces,
    index,
    outsideM,
    sheet,
  }: {
    readonly pieces: readonly Piece[]
    readonly index: number
    readonly outsideM: number
    readonly sheet: Sheet
  },
): DrawnPipe {
  const piece = pieces[index]!
  const from = onSheet(sheet, placed.from)
  const to = onSheet(sheet, placed.to)
  const { pxPerM } = sheet.scale
  return {
    pieceId: placed.pieceId,
    x1: from.x,
    y1: from.y,
    x2: to.x,
    y2: to.y,
    outsidePx: Math.max(LEAST_OUTSIDE_PX, outsideM * pxPerM),
    borePx: Math.max(LEAST_BORE_PX, placed.boreM * pxPerM),
    dashS: placed.speedMPerS > 0 ? DASH_PX / (placed.speedMPerS * 60) : 0,
    backwards: placed.flowM3PerS < 0,
    depth: piece.kind === 'pipe' ? depthOf(piece.direction, sheet.view) : null,
    curve: piece.kind === 'free-hose' ? hoseCurve(placed, pieces, index, sheet) : null,
  }
}

const DEPTHS: Readonly<Record<SheetView, Partial<Record<Direction, 'towards' | 'away'>>>> = {
  section: { front: 'towards', back: 'away' },
  plan: { up: 'towards', down: 'away' },
}

function depthOf(direction: Direction, view: SheetView): 'towards' | 'away' | null {
  return DEPTHS[view][direction] ?? null
}

/** Leaves along the pipe before it and arrives along the pipe after it, as hose does. */
function hoseCurve(placed: Placed, pieces: readonly Piece[], index: number, sheet: Sheet): string {
  const before = pieces.slice(0, index).findLast((piece) => piece.kind === 'pipe')
  const after = pieces.slice(index + 1).find((piece) => piece.kind === 'pipe')
  const { from, to } = placed
  const reachM = 0.4 * Math.hypot(to.xM - from.xM, to.yM - from.yM, to.zM - from.zM)
  const towards = (point: Point, direction: Direction | undefined, sign: 1 | -1): Point =>
    direction ? moved(point, direction, sign * reachM) : point
  const first = towards(from, before?.kind === 'pipe' ? before.direction : undefined, 1)
  const second = towards(to, after?.kind === 'pipe' ? after.direction : undefined, -1)
  const [a, b, c, d] = [from, first, second, to].map((point) => onSheet(sheet, point))
  return `M${a!.x} ${a!.y} C${b!.x} ${b!.y} ${c!.x} ${c!.y} ${d!.x} ${d!.y}`
}

/** Degrees that a direction is turned from "right" on a sheet; none for one that goes into it. */
const TURNS: Readonly<Record<SheetView, Partial<Record<Direction, number>>>> = {
  section: { right: 0, down: 90, left: 180, up: -90 },
  plan: { right: 0, front: 90, left: 180, back: -90 },
}
/** Fittings that sit at one place are drawn this far apart along the pipe, px. */
const SPREAD_PX = 17

/** A fitting looks along the pipe before it, else along the one after it. */
function drawnFitting(
  placed: readonly Placed[],
  pieces: readonly Piece[],
  index: number,
  sheet: Sheet,
): DrawnFitting {
  const here = placed[index]!
  const turns = TURNS[sheet.view]
  const isVisible = (piece: Piece) => piece.kind === 'pipe' && piece.direction in turns
  const pipe = pieces.slice(0, index).findLast(isVisible) ?? pieces.slice(index).find(isVisible)
  const turnDeg = pipe?.kind === 'pipe' ? turns[pipe.direction]! : -90
  const along = (turnDeg * Math.PI) / 180
  const { pxPerM } = sheet.scale
  const shiftPx = spread(pieces, index) * Math.min(1, pxPerM / 250)
  const at = onSheet(sheet, here.to)
  return {
    piece: pieces[index]!,
    x: at.x + shiftPx * Math.cos(along),
    y: at.y + shiftPx * Math.sin(along),
    turnDeg,
    halfPx: Math.min(11, Math.max(4, here.boreM * pxPerM * 1.1)),
  }
}

/** How far a fitting is moved from its place, so that neighbours without pipe between them can be told apart. */
function spread(pieces: readonly Piece[], index: number): number {
  // A tee stays where the other line meets it.
  if (pieces[index]!.kind === 'tee') return 0
  const isPipe = (piece: Piece | undefined) =>
    piece === undefined ||
    piece.kind === 'pipe' ||
    piece.kind === 'elbow' ||
    piece.kind === 'free-hose'
  let first = index
  while (!isPipe(pieces[first - 1])) first--
  let last = index
  while (!isPipe(pieces[last + 1])) last++
  if (pieces[last]?.kind === 'nozzle') return (index - last) * SPREAD_PX
  return (index - (first + last) / 2) * SPREAD_PX
}
