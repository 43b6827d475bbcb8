export { asItRuns } from './as-it-runs.ts'
export { type Figures, figuresOf, type Totals } from './figures.ts'
export { joinedMatch } from './gravity/joined-match.ts'
export { solveSump } from './gravity/solve-sump.ts'
export type {
  DrainState,
  RunningOverflow,
  RunningSump,
  SolvedChamber,
  SolvedDrain,
  SolvedDrainPiece,
  SolvedLoop,
  SolvedMatch,
  SolvedTrap,
  SolvedWaterUse,
} from './gravity/solved-gravity.ts'
export { drawsAirBelowM } from './gravity/water-use.ts'
export { leadOf } from './lead.ts'
export { flowAtSpeeds, type FlowPlace, flowThere } from './return/flow-place.ts'
export type {
  LineStatus,
  SolvedLine,
  SolvedPiece,
  SolvedPump,
  SolvedReturn,
  SolvedStretch,
  SolvedTank,
  SolvedWater,
} from './return/solved.ts'
export { DERATED_SHARE, type Rule, type RulesOfThumb, rulesOfThumb } from './rules-of-thumb.ts'
export { type SkimmerCandidate, skimmerCandidates, swapped } from './treatment/candidates.ts'
export { cabinetRectangle, deviceRectangle, heightsOf, sumpRectangle } from './treatment/place.ts'
export { removalCurve, type RemovalPoint } from './treatment/removal-curve.ts'
export { pieceOfDevice } from './treatment/solve-devices.ts'
export { NEW_LAMP } from './treatment/solve-sterilizer.ts'
export type {
  AgainstTarget,
  SolvedDevice,
  SolvedLoad,
  SolvedRoom,
  SolvedSkimmer,
  SolvedSterilizer,
  SolvedTreatment,
} from './treatment/solved-treatment.ts'
export { type TakeOut, takeOutOf, type WayOut } from './treatment/take-out.ts'
