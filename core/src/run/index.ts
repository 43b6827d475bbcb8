export { AS_USUAL, type EndKind, type PieceMade } from './made.ts'
export { type LaidRun, layRun, samePoint } from './lay-run.ts'
export {
  adapterLosses,
  type FittingLoss,
  type FrictionLoss,
  openEnd,
  pieceLosses,
  type PieceLosses,
} from './losses.ts'
export { type NotationFault, readNotation, writeNotation } from './notation.ts'
export { NOTATION_WORDS } from './trade-words.ts'
export { axisOf, moved, type PlacedPiece, type Point, signOf } from './path.ts'
export {
  type DevicePiece,
  type Direction,
  DIRECTIONS,
  type LossPoint,
  type Piece,
  type PieceKind,
  type PieceOf,
  type PipePiece,
  type Run,
  type TeePiece,
  type ValvePiece,
} from './piece.ts'
