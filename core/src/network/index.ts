export { FITTINGS_BAND, FRICTION_BAND } from './band.ts'
export { flowAtHead } from './flow-at-head.ts'
export {
  forgetFriction,
  linkHead,
  type LinkHead,
  linkLaw,
  type LinkLaw,
  tableLossM,
} from './laws.ts'
export { AS_COMPUTED, type Line, type LossScale, makeLine } from './line.ts'
export { makeNetwork, type Network, rescaled } from './network.ts'
export {
  type LinkPump,
  type NetworkFailure,
  type NetworkLink,
  type NetworkNode,
  type NetworkProblem,
  type NetworkSolution,
  withPumpAt,
} from './problem.ts'
export {
  type Banded,
  type Flowing,
  type Flows,
  flowThrough,
  halfWidth,
  type Ran,
  run,
  runBanded,
  type Running,
  withLosses,
} from './running.ts'
export { solveNetwork } from './solve-network.ts'
