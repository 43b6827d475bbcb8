export { flowAtHead } from './flow-at-head.ts'
export {
  linkHead,
  type LinkHead,
  linkLaw,
  type LinkLaw,
  type LinkSearch,
  searchOf,
  tableLossM,
} from './laws.ts'
export { AS_COMPUTED, type Line, type LossScale, makeLine } from './line.ts'
export { copyOf, makeNetwork, type Network } from './network.ts'
export {
  type LinkPump,
  type NetworkLink,
  type NetworkNode,
  type NetworkProblem,
  withPumpAt,
} from './problem.ts'
export {
  type Flowing,
  type Flows,
  flowThrough,
  type SolvedNetwork,
  solveWithLosses,
  type SolvedFlows,
  withLosses,
} from './solved-flows.ts'
export { solveNetwork } from './solve-network.ts'
