export { outWallOf } from './case/chamber-case.ts'
export type { SkimmerCase, SterilizerCase } from './case/device-case.ts'
export { type DrainCase, drainCases } from './case/drain-case.ts'
export type { FeedCase } from './case/feed-case.ts'
export type { HeatCase } from './case/heat-case.ts'
export { type LineCase, ofLine, wantedThrough } from './case/line-case.ts'
export { outageValues } from './case/outage-case.ts'
export type { OverflowCase } from './case/overflow-case.ts'
export type { TankCase } from './case/tank-case.ts'
export { type Whole, wholeOf } from './case/whole.ts'
export { FINDING_CODES, type FindingCode } from './codes.ts'
export { emergencyWet } from './drains/emergency-wet.ts'
export { siphonCannotMatch } from './drains/siphon-cannot-match.ts'
export { siphonUntuned } from './drains/siphon-untuned.ts'
export { ventedLoud } from './drains/vented-loud.ts'
export { drilledFinding } from './drilled.ts'
export { type Finding, sameFinding } from './finding.ts'
export { heaterNearItsLimit } from './heat/heater-near-its-limit.ts'
export { heaterTooSmall } from './heat/heater-too-small.ts'
export {
  BESIDE_PUMP_M,
  BREAK_HOLE_DEPTH_M,
  CLEAR_OVER_WALL_M,
  DOSE_AIM,
  DOSE_NEAR_SHARE,
  FAST_M_PER_S,
  FOULED_SHARE,
  GOOD_FREEBOARD_M,
  GOOD_HEAD_M,
  LEAST_RUNNING_DEPTH_M,
  LEAST_WALL_M,
  meetsWanted,
  PAST_SHARE,
  SWEPT_FROUDE,
  TEETH_RESERVE,
} from './limits.ts'
export { hungLosesPrime } from './overflow/hung-loses-prime.ts'
export { letsAnimalsThrough } from './overflow/lets-animals-through.ts'
export { teethDrowned } from './overflow/teeth-drowned.ts'
export { weirTooShort } from './overflow/weir-too-short.ts'
export { findingsOf, occurrencesIn, RULES } from './registry.ts'
export { checkValveOnlyGuard } from './return/check-valve-only-guard.ts'
export { flowPast } from './return/flow-past.ts'
export { flowShort } from './return/flow-short.ts'
export { flowsBack } from './return/flows-back.ts'
export { type ElbowRow, hardElbowsInARow } from './return/hard-elbows-in-a-row.ts'
export { hoseTooShort } from './return/hose-too-short.ts'
export { missesItsPlace } from './return/misses-its-place.ts'
export { mouthOutsideTank } from './return/mouth-outside-tank.ts'
export { mouthUnderWater } from './return/mouth-under-water.ts'
export { noFlowAtThisSpeed } from './return/no-flow-at-this-speed.ts'
export { noUnionAtPump } from './return/no-union-at-pump.ts'
export { outletMismatch } from './return/outlet-mismatch.ts'
export { piecesAfterNozzle } from './return/pieces-after-nozzle.ts'
export { pumpDrawsAir } from './return/pump-draws-air.ts'
export { joinDoesNotMeet, startDoesNotMeet } from './return/sizes-do-not-meet.ts'
export { spareWithoutValve } from './return/spare-without-valve.ts'
export { takeoffOffTarget } from './return/takeoff-off-target.ts'
export { turnWithoutElbow } from './return/turn-without-elbow.ts'
export { valveDoesPumpsWork } from './return/valve-does-pumps-work.ts'
export { valveShut } from './return/valve-shut.ts'
export { waterTooFast } from './return/water-too-fast.ts'
export type { Case, Occurrence, Rule, RuleWords } from './rule.ts'
export { SEVERITY_ORDER, type Station, type Severity } from './severity.ts'
export { cupStaysOn } from './skimmer/cup-stays-on.ts'
export { skimmerDepthOff } from './skimmer/skimmer-depth.ts'
export type { ChosenTarget } from './sterilizer/chosen-target.ts'
export { doseReached } from './sterilizer/dose-reached.ts'
export { doseShort } from './sterilizer/dose-short.ts'
export { aboveFillLine } from './sump/above-fill-line.ts'
export { lightLeaks } from './sump/light-leaks.ts'
export { chamberDepth } from './sump/skimmer-depth.ts'
export { wallBelowNext } from './sump/wall-below-next.ts'
export { littleFreeboard } from './tank/little-freeboard.ts'
export { rimOverPanels } from './tank/rim-over-panels.ts'
export { waterOverRim } from './tank/water-over-rim.ts'
