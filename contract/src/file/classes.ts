import { DesignDocument, TariffDocument } from '../design/design-document.ts'
import { LossPointDocument, PIECE_CLASSES, PieceDocument } from '../design/piece.ts'
import { PipeSizeDocument } from '../design/pipe-size.ts'
import { CurvePointDocument, PowerPointDocument, PumpPartDocument } from '../design/pump-part.ts'
import {
  ChamberDocument,
  LineEndDocument,
  LineStartDocument,
  PlacedPumpDocument,
  PointDocument,
  ReturnLineDocument,
  ReturnSideDocument,
} from '../design/return-side.ts'
import { RunDocument } from '../design/run.ts'
import { DisplacementDocument, TankDocument } from '../design/tank.ts'
import { WaterDocument } from '../design/water.ts'
import { BasinFile, FileDesign } from './basin-file.ts'

/** Every class a basin file is made of: what the format's documentation is written from. */
export const DESIGN_CLASSES: readonly (new () => object)[] = [
  BasinFile,
  FileDesign,
  DesignDocument,
  TankDocument,
  DisplacementDocument,
  WaterDocument,
  TariffDocument,
  ReturnSideDocument,
  ChamberDocument,
  PlacedPumpDocument,
  ReturnLineDocument,
  LineStartDocument,
  LineEndDocument,
  PointDocument,
  RunDocument,
  PipeSizeDocument,
  PieceDocument,
  ...PIECE_CLASSES.map(({ value }) => value),
  LossPointDocument,
  PumpPartDocument,
  CurvePointDocument,
  PowerPointDocument,
]
