import { memoizeWith } from '../numeric/index.ts'
import { pieceLosses, type PieceLosses } from './losses.ts'
import { mouthOf, type PlacedPiece, placePieces, type Point } from './path.ts'
import type { Run } from './piece.ts'

/** A run with every piece in its place and its losses known. */
export interface LaidRun {
  readonly placed: readonly PlacedPiece[]
  readonly losses: readonly PieceLosses[]
  readonly mouth: Point
}

/** Are two places the same to rounding? */
export function samePoint(a: Point, b: Point): boolean {
  return a === b || (a.xM === b.xM && a.yM === b.yM && a.zM === b.zM)
}

/** Laid from its start; a run that did not change since it was last laid from there is not laid anew. */
export const layRun = memoizeWith((run: Run, start: Point): LaidRun => {
  const placed = placePieces(run, start)
  return {
    placed,
    losses: placed.map((piece) => pieceLosses(piece, run)),
    mouth: mouthOf(placed, start),
  }
}, samePoint)
