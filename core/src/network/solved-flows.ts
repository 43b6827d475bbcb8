import { zeros } from '../numeric/index.ts'
import { KNOWN } from './junctions.ts'
import { linkLoss, type LinkLoss } from './laws.ts'
import type { Network } from './network.ts'
import { solveNetwork } from './solve-network.ts'

/** What flows in every link. */
export interface Flows {
  readonly flowsM3PerS: number[]
}

/** What flows in every link and what it loses there. */
export interface SolvedFlows extends Flows {
  readonly headsM: number[]
  readonly frictionM: number[]
  /** Fittings, devices and the exit. */
  readonly fittingsM: number[]
}

/** The network at rest where nothing is known better. */
export interface SolvedNetwork {
  readonly flows: SolvedFlows
  readonly iterations: number
  /** Where no answer was found, the link it could not balance. */
  readonly unsettledLinkId: string | null
}

/** A flow smaller than this is none, m³/s. */
export const NO_FLOW_M3_PER_S = 1e-11

/** Flows and heads of a network, and what it took to find them. */
export interface Flowing extends Flows, Omit<SolvedNetwork, 'flows'> {
  readonly headsM: number[]
}

/** Solves a network's flows; nothing flows where that fails. */
export function flowThrough(network: Network, from?: number[]): Flowing {
  const outcome = solveNetwork(network, from)
  if (!outcome.ok) {
    return {
      flowsM3PerS: zeros(network.problem.links.length),
      headsM: knownHeads(network),
      iterations: outcome.iterations,
      unsettledLinkId: outcome.linkId,
    }
  }
  const { flowsM3PerS, headsM } = outcome.value
  for (let l = 0; l < flowsM3PerS.length; l++) {
    if (Math.abs(flowsM3PerS[l]!) < NO_FLOW_M3_PER_S) flowsM3PerS[l] = 0
  }
  return { flowsM3PerS, headsM, iterations: outcome.iterations, unsettledLinkId: null }
}

/** The heads that are given, where they were moved to; NaN for what had to be found. */
function knownHeads({ row, nodeHead }: Network): number[] {
  return row.map((at, n) => (at === KNOWN ? nodeHead[n]! : NaN))
}

/** The same with what every link loses. */
export function solveWithLosses(network: Network, from?: number[]): SolvedNetwork {
  return withLosses(network, flowThrough(network, from))
}

/** What is lost where these flows run. */
export function withLosses(
  { problem, live, searches, scale }: Network,
  flowing: Flowing,
): SolvedNetwork {
  const loss: LinkLoss = { frictionM: 0, fittingsM: 0 }
  const { flowsM3PerS, headsM, iterations, unsettledLinkId } = flowing
  const frictionM = zeros(problem.links.length)
  const fittingsM = zeros(problem.links.length)
  for (let i = 0; i < live.length; i++) {
    const link = live[i]!
    linkLoss(searches[i]!, flowsM3PerS[link]!, loss, scale)
    frictionM[link] = loss.frictionM
    fittingsM[link] = loss.fittingsM
  }
  return {
    flows: { flowsM3PerS, headsM, frictionM, fittingsM },
    iterations,
    unsettledLinkId,
  }
}
