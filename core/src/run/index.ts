export { type LaidRun, layRun, samePoint } from './lay-run.ts'
export {
  type FittingLoss,
  type FrictionLoss,
  openEnd,
  pieceLosses,
  type PieceLosses,
  teeLoss,
} from './losses.ts'
export { type NotationFault, readNotation, writeNotation } from './notation.ts'
export { axisOf, moved, type PlacedPiece, type Point, signOf } from './path.ts'
export {
  type BulkheadPiece,
  type CheckValveForm,
  type CheckValvePiece,
  type DeviceLossBy,
  type DevicePiece,
  type DeviceUse,
  type Direction,
  DIRECTIONS,
  type ElbowForm,
  type ElbowPiece,
  type FreeHosePiece,
  type LossPoint,
  type NozzlePiece,
  type Piece,
  type PieceKind,
  type PieceOf,
  type PipePiece,
  type ReducerPiece,
  type Run,
  type TeeForm,
  type TeePiece,
  type UnionPiece,
  type ValveForm,
  type ValvePiece,
} from './piece.ts'
