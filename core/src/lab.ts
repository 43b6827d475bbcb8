/** Engine internals for tools and tests; the application asks at `index.ts`. */

export { Lattice, SLIPS } from './lattice/index.ts'
export { type Jet, sectionOf } from './jet/index.ts'
export { waterAt } from './fluid/index.ts'
export {
  EXIT_LOSS,
  type LossKind,
  teeLaw,
  type ThreeKFitting,
  threeKLoss,
  valveLoss,
} from './fitting/index.ts'
export { DEFAULT_RANGES } from './scene/index.ts'
export {
  Bands,
  evaluateTees,
  linkHeads,
  type LinkPump,
  makeLine,
  makeNetwork,
  type NetworkLink,
  type NetworkNode,
  type NetworkProblem,
  solveNetwork,
  type SolvedFlows,
  solveWithLosses,
} from './network/index.ts'
export type { FittingLoss, FrictionLoss } from './run/index.ts'
export { type EditData } from './design/index.ts'
export { steadyStatesSearched } from './loop/index.ts'
export { drillAll, simulateDrill } from './drill/index.ts'
export { listAndCuts, nest } from './build-sheet/index.ts'
export { DRILLED_CODES, FINDING_CODES, type FindingCode, RULES } from './finding/index.ts'
export { everyWorking, figureIsOf, FIGURES, type FigureOf } from './working/index.ts'
export {
  eddiesOf,
  type FieldVerdict,
  gridsApart,
  motionAt,
  simulateFields,
} from './currents/index.ts'
