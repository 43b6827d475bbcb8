import type { BasinDesign, Piece, SolvedBasin, SolvedPiece } from '@yew-basin/core'
import { SERIES_SIZES } from '@yew-basin/core'
import type { Scale } from './scale.ts'

/** A straight of the run on the sheet. */
export interface DrawnPipe {
  readonly pieceId: string
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
  readonly outsidePx: number
  readonly borePx: number
  /** Seconds a dash takes to move its own length: faster water moves faster. */
  readonly dashS: number
  /** Goes away from or towards the eye: drawn as a ring. */
  readonly depth: 'front' | 'back' | null
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
  readonly pipes: readonly DrawnPipe[]
  readonly fittings: readonly DrawnFitting[]
}

/** Plastic wall where a standard gives no outside diameter, m. */
const HOSE_WALL_M = 0.0025
const LEAST_OUTSIDE_PX = 5
const LEAST_BORE_PX = 2.5
/** Length of one dash and gap of the moving water, px. */
export const DASH_PX = 22

/** The run as the core placed it, on the sheet. */
export function drawRun(design: BasinDesign, solved: SolvedBasin, scale: Scale): DrawnRun {
  const { pieces } = design.returnSide.run
  const pipes: DrawnPipe[] = []
  const fittings: DrawnFitting[] = []
  let size = design.returnSide.run.size
  solved.returnSide.pieces.forEach((placed, index) => {
    const piece = pieces[index]
    if (!piece) return
    if (piece.kind === 'reducer') size = piece.to
    if (piece.kind === 'pipe') {
      const wallM = outsideOf(size) ?? placed.boreM + 2 * HOSE_WALL_M
      pipes.push(drawnPipe(placed, piece.direction, wallM, scale))
    } else if (piece.kind !== 'elbow') {
      fittings.push(drawnFitting(solved.returnSide.pieces, pieces, index, scale))
    }
  })
  return { pipes, fittings }
}

function outsideOf({ series, size }: BasinDesign['returnSide']['run']['size']): number | null {
  return SERIES_SIZES[series].find((row) => row.size === size)?.outsideM ?? null
}

function drawnPipe(
  placed: SolvedPiece,
  direction: string,
  outsideM: number,
  scale: Scale,
): DrawnPipe {
  return {
    pieceId: placed.pieceId,
    x1: scale.x(placed.from.xM),
    y1: scale.y(placed.from.zM),
    x2: scale.x(placed.to.xM),
    y2: scale.y(placed.to.zM),
    outsidePx: Math.max(LEAST_OUTSIDE_PX, outsideM * scale.pxPerM),
    borePx: Math.max(LEAST_BORE_PX, placed.boreM * scale.pxPerM),
    dashS: placed.speedMPerS > 0 ? DASH_PX / (placed.speedMPerS * 60) : 0,
    depth: direction === 'front' || direction === 'back' ? direction : null,
  }
}

const TURNS: Readonly<Record<string, number>> = { right: 0, down: 90, left: 180, up: -90 }
/** Fittings that sit at one place are drawn this far apart along the pipe, px. */
const SPREAD_PX = 17

/** A fitting looks along the pipe before it, else along the one after it. */
function drawnFitting(
  placed: readonly SolvedPiece[],
  pieces: readonly Piece[],
  index: number,
  scale: Scale,
): DrawnFitting {
  const here = placed[index]!
  const isVisible = (piece: Piece) => piece.kind === 'pipe' && piece.direction in TURNS
  const pipe = pieces.slice(0, index).findLast(isVisible) ?? pieces.slice(index).find(isVisible)
  const turnDeg = pipe?.kind === 'pipe' ? TURNS[pipe.direction]! : -90
  const along = (turnDeg * Math.PI) / 180
  const shiftPx = spread(pieces, index) * Math.min(1, scale.pxPerM / 250)
  return {
    piece: pieces[index]!,
    x: scale.x(here.to.xM) + shiftPx * Math.cos(along),
    y: scale.y(here.to.zM) + shiftPx * Math.sin(along),
    turnDeg,
    halfPx: Math.min(11, Math.max(4, here.boreM * scale.pxPerM * 1.1)),
  }
}

/** How far a fitting is moved from its place, so that neighbours without pipe between them can be told apart. */
function spread(pieces: readonly Piece[], index: number): number {
  const isPipe = (piece: Piece | undefined) =>
    piece === undefined || piece.kind === 'pipe' || piece.kind === 'elbow'
  let first = index
  while (!isPipe(pieces[first - 1])) first--
  let last = index
  while (!isPipe(pieces[last + 1])) last++
  if (pieces[last]?.kind === 'nozzle') return (index - last) * SPREAD_PX
  return (index - (first + last) / 2) * SPREAD_PX
}
