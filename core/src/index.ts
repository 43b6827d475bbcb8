/** What is asked of core, room by room from the lowest up. Engine internals stand in `lab.ts`. */

export {
  editable,
  fromSi,
  type Measured,
  parseQuantity,
  QUANTITIES,
  type QuantityName,
  say,
  sentence,
  show,
  showBand,
  showText,
  toMillimetre,
  toSi,
  type Unit,
  type UnitFamily,
  cutText,
} from './quantity/index.ts'
export { type AxesFault, chartAxes, type ChartAxes, type Spot } from './numeric/index.ts'
export { type Vector } from './jet/index.ts'
export {
  salinityFromConductivityPpt,
  salinityFromSpecificGravityPpt,
  specificGravity,
} from './fluid/index.ts'
export { type Displacement } from './tank/index.ts'
export {
  AGED_ROUGHNESS_M,
  boreOf,
  isHose,
  NEW_ROUGHNESS_M,
  PIPE_SERIES,
  type PipeSeries,
  type PipeSize,
  SERIES_SIZES,
  seriesWords,
  sizeWords,
} from './pipe/index.ts'
export { type Bulkhead, BULKHEADS } from './fitting/index.ts'
export { type CurvePoint, pumpCurve, type PumpPart } from './pump/index.ts'
export { type Guard, type Teeth } from './weir/index.ts'
export {
  type Feed,
  type FeedForm,
  type LoadClass,
  type SkimmerForm,
  type SkimmerSchool,
  type SkimmerSpec,
} from './skimmer/index.ts'
export { type DoseTarget, QUOTED_TARGETS, type SterilizerSpec } from './uv/index.ts'
export {
  type DeviceKind,
  type DevicePart,
  type NoiseClass,
  type Rectangle,
} from './device/index.ts'
export {
  type CirculationPart,
  type CirculationPump,
  DEAD_M_PER_S,
  emptyScene,
  LIFT_M_PER_S,
  type NozzleAim,
  type Pattern,
  type PatternKind,
  powerAtW,
  type RockSolid,
  type ScenePanel,
  solidVolumeM3,
  type TankScene,
  type WantedRange,
  type ZoneKind,
} from './scene/index.ts'
export {
  type Direction,
  DIRECTIONS,
  type LossPoint,
  moved,
  NOTATION_WORDS,
  type Piece,
  type PieceOf,
  type Point,
  readNotation,
  type Run,
  writeNotation,
} from './run/index.ts'
export { type WallKind } from './sump/index.ts'
export {
  applyEdits,
  type At,
  type BasinDesign,
  type Cabinet,
  type CabinetDoor,
  chamberSpans,
  type ChamberUse,
  type Device,
  type DisplayTank,
  type Drain,
  drainAtTee,
  type DrainRole,
  type DrilledPanel,
  type Edit,
  type EditPath,
  type Hole,
  type InletForm,
  insertAt,
  isTeeMet,
  type Lamp,
  type Landing,
  lineAtTee,
  type LineEnd,
  type LineStart,
  type Overflow,
  type OverflowBox,
  type OverflowForm,
  type OverflowPlace,
  type OwnDrill,
  type PanelGlass,
  partOf,
  type PlacedPump,
  type ReturnLine,
  setTo,
  standsInWater,
  type Sump,
  type SumpBox,
  type SumpChamber,
  type SumpWall,
  type TopOff,
  type TreatmentPlan,
  type HeatPlan,
  onDay,
} from './design/index.ts'
export { readAtHead } from './network/index.ts'
export { steadyState } from './loop/index.ts'
export {
  asItRuns,
  cabinetRectangle,
  deviceRectangle,
  type DrainState,
  heightsOf,
  joinedMatch,
  leadOf,
  removalCurve,
  type SkimmerCandidate,
  skimmerCandidates,
  sumpRectangle,
  takeOutOf,
  type FlowTarget,
  targetsOf,
} from './figures/index.ts'
export { worstBlocked } from './judge/index.ts'
export {
  allDrills,
  drillVerdict,
  playDrill,
  asItStands,
  canDrill,
  type Drill,
  type DrillOutcome,
  drillsChanged,
  lastNotAfter,
  logWords,
  momentAt,
  placeOfVessel,
  type Playback,
  type Survival,
  type Verdict,
  worstFirst,
} from './drill/index.ts'
// editing
export { surviving } from './drill/index.ts'
export * as editing from './editing/index.ts'
export * as building from './build-sheet/index.ts'
export { type Finding, meetsWanted, type Station, type Severity } from './finding/index.ts'
export {
  type KeyFigure,
  toBeHeard,
  keyFigures,
  shelfFigures,
  type ShelfFigures,
  STATE_OF,
  worstDrillFigure,
} from './key-figures/index.ts'
export * as explaining from './idea/index.ts'
export * as assuming from './assumed/index.ts'
export type { Fix, OfferedFixes } from './fix/index.ts'
export { type FigureName, type RuleBeside, type Working, workingOf } from './working/index.ts'
export {
  choosing,
  dutyCurves,
  type DutyCurves,
  fixesOfDrill,
  fixesOfFinding,
  type HeadPoint,
  pumpPoints,
  solveBasin,
  type Solved,
  type SolvedBasin,
  type Swap,
  swaps,
  whatMatters,
} from './basin/index.ts'
export {
  alongJet,
  type DyeFrame,
  type DyeVerdict,
  envelopeOf,
  type Field,
  type FieldFigure,
  type Fineness,
  FRAME_FULL,
  type Grid,
  judgeField,
  nearestPosition,
  type Obstacle,
  openingOf,
  packedFieldFault,
  packField,
  placing,
  planField,
  positionFault,
  type Reach,
  reaches,
  ROCK,
  ROCK_LAYOUTS,
  rockLayout,
  type RockLayoutName,
  simulateDye,
  simulateField,
  SAND,
  domainMark,
  domainOf,
  shareMoved,
  START_NAMES,
  startLayout,
  type StartName,
  type Stream,
  streamlines,
  tankTurnoverPerH,
  towardsOf,
  tryPace,
  unpackField,
  updatesOf,
  WATER,
  type FlowDomain,
  COARSER,
  type GridsApart,
  gridsApart,
} from './currents/index.ts'
export {
  balance,
  type BalanceOption,
  type RankedOption,
  ratedNeed,
  type RatedNeed,
  size,
  type SizingAnswer,
  type SizingWish,
  type Values,
} from './sizing/index.ts'
export { lastWord } from './basin/index.ts'
export { allowing } from './design/index.ts'
export * as starting from './start/index.ts'
