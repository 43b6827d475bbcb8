import { DesignDocument, TariffDocument } from '../design/design-document.ts'
import { LossPointDocument, PIECE_CLASSES, PieceDocument } from '../design/piece.ts'
import { PipeSizeDocument } from '../design/pipe-size.ts'
import {
  CurvePointDocument,
  PowerPointDocument,
  PumpPartDocument,
  PumpSizeDocument,
} from '../design/pump-part.ts'
import { PointDocument } from '../design/point.ts'
import { DrainDocument, DrainEndDocument, DrainInletDocument } from '../design/drain.ts'
import {
  GuardDocument,
  HoleDocument,
  OverflowBoxDocument,
  OverflowDocument,
  PassageDocument,
  TeethDocument,
} from '../design/overflow.ts'
import {
  LineEndDocument,
  LineStartDocument,
  PlacedPumpDocument,
  ReturnLineDocument,
  ReturnSideDocument,
} from '../design/return-side.ts'
import { RunDocument } from '../design/run.ts'
import {
  ChamberDocument,
  DepthRangeDocument,
  SumpBoxDocument,
  SumpDocument,
  SumpWallDocument,
  TopOffDocument,
} from '../design/sump.ts'
import {
  CirculationPartDocument,
  CirculationPumpDocument,
  NozzleAimDocument,
  PatternDocument,
  RockDocument,
  SceneDocument,
  WantedRangeDocument,
} from '../design/scene.ts'
import { DisplacementDocument, TankDocument } from '../design/tank.ts'
import { WaterDocument } from '../design/water.ts'
import { BulkheadDocument } from '../design/bulkhead.ts'
import {
  CabinetDocument,
  CabinetDoorDocument,
  DeviceDocument,
  DevicePartDocument,
  FlowWindowDocument,
  LampDocument,
  RatedVolumesDocument,
  SkimmerSpecDocument,
  SterilizerSpecDocument,
  WorkingDepthDocument,
} from '../design/device.ts'
import { DoseTargetDocument, FeedDocument, TreatmentDocument } from '../design/treatment.ts'
import {
  BuildPlanDocument,
  CornerReadingsDocument,
  TakeOffDocument,
  TankPanelsDocument,
} from '../design/build-plan.ts'
import { PieceMadeDocument } from '../design/made.ts'
import { AllowancesDocument } from '../design/allowances.ts'
import { HeatDocument } from '../design/heat.ts'
import { OwnDrillDocument, OwnDrillStepDocument } from '../design/drill.ts'
import { BasinFile, FileDesign } from './basin-file.ts'

/** Every class a basin file is made of: what the format's documentation is written from. */
export const DESIGN_CLASSES: readonly (new () => object)[] = [
  BasinFile,
  FileDesign,
  DesignDocument,
  TankDocument,
  DisplacementDocument,
  SceneDocument,
  RockDocument,
  CirculationPumpDocument,
  CirculationPartDocument,
  PatternDocument,
  NozzleAimDocument,
  WantedRangeDocument,
  WaterDocument,
  TariffDocument,
  OverflowDocument,
  TeethDocument,
  GuardDocument,
  OverflowBoxDocument,
  PassageDocument,
  HoleDocument,
  BulkheadDocument,
  BuildPlanDocument,
  CornerReadingsDocument,
  PieceMadeDocument,
  TakeOffDocument,
  TankPanelsDocument,
  DrainDocument,
  DrainInletDocument,
  DrainEndDocument,
  SumpDocument,
  ChamberDocument,
  DepthRangeDocument,
  SumpBoxDocument,
  SumpWallDocument,
  TopOffDocument,
  ReturnSideDocument,
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
  PumpSizeDocument,
  CurvePointDocument,
  PowerPointDocument,
  OwnDrillDocument,
  OwnDrillStepDocument,
  DeviceDocument,
  DevicePartDocument,
  FlowWindowDocument,
  WorkingDepthDocument,
  RatedVolumesDocument,
  SkimmerSpecDocument,
  SterilizerSpecDocument,
  LampDocument,
  CabinetDocument,
  CabinetDoorDocument,
  TreatmentDocument,
  HeatDocument,
  AllowancesDocument,
  FeedDocument,
  DoseTargetDocument,
]
