export { asItRuns } from './as-it-runs.ts'
export { type Figures, figuresOf } from './figures.ts'
export { joinedMatch } from './gravity/joined-match.ts'
export { type BandedFlow, flowShareOf } from './flow-share.ts'
export { aboveRimBandM3, levelBandsM } from './gravity/level-bands.ts'
export { netWater } from './gravity/net-water.ts'
export { solveSump } from './gravity/solve-sump.ts'
export type {
  DrainState,
  RunningOverflow,
  RunningSump,
  SolvedChamber,
  SolvedDrain,
  SolvedDrainPiece,
  SolvedEmergency,
  SolvedMatch,
  SolvedStart,
  SolvedTrap,
} from './gravity/solved-gravity.ts'
export { drawsAirBelowM } from './gravity/water-use.ts'
export type { HeatInRoom, PowerShare, SolvedHeat, SolvedPower } from './heat/solved-heat.ts'
export { leadOf } from './lead.ts'
export { type FlowTarget, targetsOf, wantedOfPump } from './return/targets.ts'
export { flowAtSpeeds, type FlowPlace, flowThere } from './return/flow-place.ts'
export { solveReturn } from './return/solve-return.ts'
export type {
  SolvedLine,
  SolvedPiece,
  SolvedPump,
  SolvedStretch,
  SolvedTank,
  SolvedWater,
} from './return/solved.ts'
export { DERATED_SHARE, rulesOfThumb, type RulesOfThumb } from './rules-of-thumb.ts'
export { type SkimmerCandidate, skimmerCandidates, swapped } from './treatment/candidates.ts'
export {
  cabinetRectangle,
  chamberRectangle,
  clearanceOf,
  deviceRectangle,
  heightsOf,
  sumpRectangle,
} from './treatment/place.ts'
export { removalCurve } from './treatment/removal-curve.ts'
export { NEW_LAMP } from './treatment/solve-sterilizer.ts'
export type {
  AgainstTarget,
  SolvedDevice,
  DeviceClearance,
  SolvedSkimmer,
  SolvedSterilizer,
} from './treatment/solved-treatment.ts'
export { takeOutOf } from './treatment/take-out.ts'
