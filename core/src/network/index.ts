export { type Band, bandOf, piecesOf, total } from './band.ts'
export { Bands, type Moves } from './bands.ts'
export { flowAtHead, readAtHead } from './flow-at-head.ts'
export {
  linkHead,
  type LinkHead,
  linkHeads,
  linkLoss,
  type LinkLoss,
  type LinkSearch,
  searchOf,
  tableLossM,
} from './laws.ts'
export { addLinkSpread, KIND_COUNT, type SpreadSums } from './link-spread.ts'
export { type Line, inOneLine, makeLine } from './line.ts'
export { makeNetwork, type Network } from './network.ts'
export {
  type LinkPump,
  type NetworkLink,
  type NetworkNode,
  type NetworkProblem,
  type NetworkSolution,
  withPumpAt,
} from './problem.ts'
export {
  type Flowing,
  type Flows,
  flowThrough,
  type SolvedNetwork,
  solveWithLosses,
  type SolvedFlows,
  type SolvedLeg,
  type SolvedTee,
  withLosses,
} from './solved-flows.ts'
export type { Graph, NetworkTee } from './graph.ts'
export { type Tree, treeOf } from './tree.ts'
export { solveNetwork } from './solve-network.ts'
export { evaluateTees } from './tees.ts'
