export type { CurvePoint, PowerPoint, PumpControl, PumpMounting, PumpPart } from './pump/part.ts'
export { specificGravity } from './fluid/density.ts'
export { salinityFromConductivityPpt } from './fluid/conductivity.ts'
export { salinityFromSpecificGravityPpt } from './fluid/salinity.ts'
export type { WaterReading } from './fluid/water.ts'
export { NEW_ROUGHNESS_M, RIBBED_FACTOR, boreOf, sizeWords, type PipeSize } from './pipe/size.ts'
export { PIPE_SERIES, SERIES_SIZES, isHose, seriesWords, type PipeSeries } from './pipe/series.ts'
export { editable, measured, show, showBand, showText, type Measured } from './quantity/format.ts'
export { parseQuantity, type Parsed } from './quantity/parse.ts'
export { say, sentence, type Sentence } from './quantity/sentence.ts'
export {
  QUANTITIES,
  toSi,
  fromSi,
  type QuantityName,
  type Unit,
  type UnitFamily,
} from './quantity/units.ts'
export { readNotation, writeNotation, type NotationFault } from './run/notation.ts'
export { moved, type Point } from './run/path.ts'
export {
  DIRECTIONS,
  type BulkheadPiece,
  type CheckValveForm,
  type CheckValvePiece,
  type DeviceLossBy,
  type DevicePiece,
  type DeviceUse,
  type Direction,
  type ElbowForm,
  type ElbowPiece,
  type FreeHosePiece,
  type LossPoint,
  type NozzlePiece,
  type Piece,
  type PieceKind,
  type PipePiece,
  type ReducerPiece,
  type Run,
  type TeeForm,
  type TeePiece,
  type UnionPiece,
  type ValveForm,
  type ValvePiece,
} from './run/piece.ts'
export type { Displacement } from './tank/volume.ts'
export { dutyCurves, type DutyCurves, type HeadPoint } from './basin/curves.ts'
export {
  byId,
  partOf,
  runningSpeed,
  surfaceM,
  type BasinDesign,
  type DisplayTank,
  type LineEnd,
  type LineStart,
  type PlacedPump,
  type ReturnLine,
  type ReturnSide,
  type Tariff,
} from './basin/design.ts'
export { applyEdits, type Edit, type EditPath } from './basin/edit.ts'
export type { Finding, FindingCode, Fix, PathStop, Severity } from './basin/finding/finding.ts'
export type { RunEnd } from './basin/layout/laid-line.ts'
export type { Rule, RulesOfThumb } from './basin/rules-of-thumb.ts'
export { solveBasin } from './basin/solve.ts'
export { leadOf, leastDrainMargin, type SolvedBasin, type Totals } from './basin/solved-basin.ts'
export type {
  LineStatus,
  SolvedLine,
  SolvedPiece,
  SolvedPump,
  SolvedReturn,
  SolvedStretch,
  SolvedTank,
  SolvedWater,
} from './basin/solved.ts'
export { swaps, type Swap } from './basin/swap.ts'
export { FIGURES, workingOf, type About, type FigureName } from './basin/working/all.ts'
export type { RuleBeside, Term, Working } from './basin/working/working.ts'
export { EXIT_LOSS } from './fitting/opening.ts'
export { threeKLoss, type ThreeKFitting } from './fitting/three-k.ts'
export { makeLine, AS_COMPUTED, type LossScale } from './network/line.ts'
export { makeNetwork, rescaled, type Network } from './network/network.ts'
export { solveNetwork } from './network/solve-network.ts'
export type {
  LinkPump,
  NetworkFailure,
  NetworkLink,
  NetworkNode,
  NetworkProblem,
  NetworkSolution,
} from './network/problem.ts'
export { waterAt, type Water } from './fluid/water.ts'
export { pumpCurve, pumpHeadM, type PumpCurve } from './pump/curve.ts'
export {
  balance,
  targetsOf,
  type BalanceOption,
  type FlowTarget,
  type LineAgainstTarget,
  type School,
} from './sizing/balance.ts'
export { ratedNeed, type RatedNeed } from './sizing/rated.ts'
export { size, type SizingAnswer } from './sizing/search.ts'
export type { RankedOption } from './sizing/rank.ts'
export type { Candidate, SizingWish, Values } from './sizing/wish.ts'
export { pumpPoints, systemCurve } from './basin/curves.ts'
export { layOut, type Layout } from './basin/layout/layout.ts'
export { comparePumps, type ComparedPump, type PumpComparison } from './basin/compare-pumps.ts'
export {
  chartAxes,
  type AxesFault,
  type AxisMark,
  type AxisMarks,
  type ChartAxes,
  type Spot,
} from './numeric/chart-axes.ts'
export { addPump, type PumpUse } from './basin/branch/add-pump.ts'
export { teeOff, type BranchKind } from './basin/branch/tee-off.ts'
export { asTree, hangingOn, withoutLine } from './basin/branch/tree.ts'
export { choosePump } from './basin/choose-pump.ts'
export { BULKHEADS, type Bulkhead } from './fitting/bulkhead.ts'
export type { WallKind } from './sump/wall.ts'
export type { Guard, Teeth } from './weir/rim.ts'
export type {
  Drain,
  DrainRole,
  DrilledPanel,
  Hole,
  InletForm,
  Landing,
  Overflow,
  OverflowBox,
  OverflowForm,
  OverflowPlace,
  PanelGlass,
  Passage,
} from './basin/overflow.ts'
export {
  chamberSpans,
  type ChamberUse,
  type Sump,
  type SumpBox,
  type SumpChamber,
  type SumpWall,
} from './basin/sump.ts'
export type {
  BlockedRow,
  DrainState,
  SolvedChamber,
  SolvedDrain,
  SolvedDrainPiece,
  SolvedLoop,
  SolvedMatch,
  SolvedOutage,
  SolvedOverflow,
  SolvedSump,
  SolvedTrap,
  SolvedWaterUse,
} from './basin/solved-gravity.ts'
export { newOverflow } from './basin/build/new-overflow.ts'
export { newDrains, oneMoreDrain, type DrainWish } from './basin/build/new-drains.ts'
export { DRAIN_SCHOOLS, type DrainSchool } from './basin/build/schools.ts'
export { tuneValve } from './basin/build/tune-valve.ts'
export { newSump, newSumpBox, USE_NAME } from './basin/build/new-sump.ts'
export { settle, type Settled } from './basin/loop/settle.ts'
export { ventedFlow, FILLED } from './drain/vented.ts'
export { asItRuns } from './basin/as-it-runs.ts'
export { panelWidthM, insideM } from './sump/panel.ts'
export {
  WAY_FIGURES,
  wayWorkingOf,
  type AboutWay,
  type WayFigure,
} from './basin/working/way-down.ts'
export {
  entryOf,
  leastLengthM,
  reordered,
  sumpEdits,
  tryLayout,
  withChamber,
  withHeight,
  withLength,
  withoutChamber,
  type TriedLayout,
} from './basin/build/sump-edits.ts'
export { cutList, type CutPanel } from './basin/build/cut-list.ts'
export { COMMON_SIZES, type CommonSize } from './sump/common-sizes.ts'
export type { OwnDrill, OwnDrillStep } from './basin/design.ts'
export type { TopOff } from './basin/sump.ts'
export { allDrills, drillAll, type Drilled } from './drill/drill-all.ts'
export { drillsOf } from './drill/drills.ts'
export type { Drill, Fault, FaultAt, FaultKind } from './drill/fault.ts'
export { mendsOf, type Mend } from './drill/mend.ts'
export { chained, together } from './drill/own-drill.ts'
export { canDrill, type Place, type Plant } from './drill/plant.ts'
export { logWords } from './drill/words.ts'
export type { Happening } from './drill/plant-watches.ts'
export { runDrill, type DrillRun, type LogEntry, type Moment } from './drill/run-drill.ts'
export { pairsOf, singleFailures, survivalOf, type Survival } from './drill/survival.ts'
export {
  verdictOf,
  worstFirst,
  type Outcome,
  type Verdict,
  type VesselVerdict,
} from './drill/verdict.ts'
export { asItStands, type AsItStands } from './drill/as-it-stands.ts'
export {
  lastNotAfter,
  momentAt,
  playbackOf,
  type Playback,
  type PlayedMoment,
} from './drill/playback.ts'
export { joinedMatch } from './basin/loop/joined-match.ts'
export { setAlike } from './basin/set-alike.ts'
export {
  LOAD_CLASSES,
  dryFeedKgPerDay,
  loadClassOf,
  type Feed,
  type FeedForm,
  type LoadClass,
} from './skimmer/load.ts'
export type { SkimmerForm, SkimmerSpec } from './skimmer/part.ts'
export { SKIMMER_SCHOOLS, type SkimmerSchool, type SkimmerVerdict } from './skimmer/match.ts'
export type { SkimmerDepth } from './skimmer/stand.ts'
export type { LampState, SterilizerSpec } from './uv/part.ts'
export { QUOTED_TARGETS, type DoseTarget } from './uv/targets.ts'
export type { DeviceKind, DevicePart, NoiseClass } from './device/part.ts'
export type { Rectangle } from './device/plan.ts'
export type { Cabinet, CabinetDoor, Device, Lamp } from './basin/devices.ts'
export type { TreatmentPlan } from './basin/treatment-plan.ts'
export { standsInWater } from './basin/contents.ts'
export {
  cabinetRectangle,
  deviceRectangle,
  heightsOf,
  sumpRectangle,
} from './basin/treatment/place.ts'
export { NEW_LAMP } from './basin/treatment/solve-sterilizer.ts'
export type {
  AgainstTarget,
  SolvedDevice,
  SolvedLoad,
  SolvedRoom,
  SolvedSkimmer,
  SolvedSterilizer,
  SolvedTreatment,
} from './basin/treatment/solved-treatment.ts'
export {
  TREATMENT_FIGURES,
  treatmentWorkingOf,
  type AboutTreatment,
  type TreatmentFigure,
} from './basin/working/treatment.ts'
export { skimmerCandidates, type SkimmerCandidate } from './basin/treatment/candidates.ts'
export { removalCurve, type RemovalPoint } from './basin/treatment/removal-curve.ts'
export { takeOutOf, type TakeOut, type WayOut } from './basin/treatment/take-out.ts'
export { keepDevices } from './basin/treatment/keep-devices.ts'
export { newCabinet, newDevice, swappedIn } from './basin/build/new-device.ts'
export { openingM2, powerAtW, type CirculationPart, type StreamForm } from './scene/part.ts'
export { levelAt, type Pattern, type PatternKind } from './scene/pattern.ts'
export { isInside, solidVolumeM3, type RockSolid } from './scene/rock.ts'
export {
  emptyScene,
  type CirculationPump,
  type NozzleAim,
  type ScenePanel,
  type TankScene,
} from './scene/scene.ts'
export {
  DEAD_M_PER_S,
  DEFAULT_RANGES,
  LIFT_M_PER_S,
  type WantedRange,
  type ZoneKind,
} from './scene/zones.ts'
export { sectionOf, type Jet } from './jet/jet.ts'
export type { Vector } from './jet/vector.ts'
export { settingOf, type Block, type WaterSetting } from './currents/setting.ts'
export { aimedAt, openingOf, towardsOf, type Stream } from './currents/streams.ts'
export { ROCK, SAND, WATER, cellAt, type Fineness, type Grid } from './currents/grid.ts'
export { planField, updatesOf, type FieldPlan } from './currents/field-plan.ts'
export { motionAt, type Field, type FieldFigure } from './currents/field.ts'
export { runField, tryPace } from './currents/run-field.ts'
export {
  judgeField,
  shareAsWanted,
  tankTurnoverPerH,
  type FieldVerdict,
  type WaterSpot,
  type ZoneVerdict,
} from './currents/judge.ts'
export { streamlines, type Streamline } from './currents/streamlines.ts'
export { FRAME_FULL, runDye, type DyeFrame, type DyeVerdict } from './currents/dye.ts'
export { ROCK_LAYOUTS, rockLayout, type RockLayoutName } from './currents/rock-layouts.ts'
export { START_NAMES, startLayout, type Start, type StartName } from './currents/starts.ts'
export { alongJet, envelopeOf, reaches, type Obstacle, type Reach } from './currents/quick-look.ts'
export { placePumps, type Placement, type PlacementSearch } from './currents/place-pumps.ts'
export {
  packField,
  packedFieldFault,
  unpackField,
  type PackedField,
} from './currents/pack-field.ts'
export { settingMark } from './currents/setting-mark.ts'
export { eddyViscosity } from './currents/eddies.ts'
export { Lattice } from './lattice/lattice.ts'
export { SLIPS, STICKS } from './lattice/shape.ts'
export { seatFault, seatNearest, type SeatFault } from './currents/seat.ts'
