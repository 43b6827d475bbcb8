import type { TeeLeg } from '../fitting/index.ts'
import { flatMap, zeros } from '../numeric/index.ts'
import { linkLoss, type LinkLoss } from './laws.ts'
import type { Network } from './network.ts'
import { solveNetwork } from './solve-network.ts'
import { askTee } from './tees.ts'
import type { TreeTee } from './tree.ts'

/** What flows in every link. */
export interface Flows {
  readonly flowsM3PerS: number[]
}

/** What flows in every link and what it loses there. */
export interface SolvedFlows extends Flows {
  readonly headsM: number[]
  readonly frictionM: number[]
  /** d(frictionM)/d|q|, s/m². */
  readonly frictionSlopes: number[]
  /** Fittings, devices and the exit, and what the tees at its ends take or give. */
  readonly fittingsM: number[]
  /** Of the tees that carry water. */
  readonly tees: readonly SolvedTee[]
}

/** How a flow divides or joins in a tee. */
export interface SolvedTee {
  /** Its place among the nodes. */
  readonly node: number
  /** The leg that carries the sum of the other two. */
  readonly common: TeeLeg
  readonly dividing: boolean
  /** Of the common leg; every K is on it. */
  readonly velocityHeadM: number
  readonly legs: readonly SolvedLeg[]
}

/** One leg of a tee as it runs, the common one apart. */
export interface SolvedLeg {
  readonly leg: TeeLeg
  /** Of the common flow. */
  readonly share: number
  /** Lost along the flow; negative where the leg gains. */
  readonly lossM: number
  readonly k: number
  /** The link on it; −1: none that runs. */
  readonly link: number
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
function knownHeads({ nodeHead }: Network): number[] {
  return nodeHead.slice()
}

/** The same with what every link loses. */
export function solveWithLosses(network: Network, from?: number[]): SolvedNetwork {
  return withLosses(network, flowThrough(network, from))
}

/** What is lost where these flows run. */
export function withLosses(network: Network, flowing: Flowing): SolvedNetwork {
  const { problem, live, searches } = network
  const loss: LinkLoss = { frictionM: 0, fittingsM: 0, frictionSlope: 0 }
  const { flowsM3PerS, headsM, iterations, unsettledLinkId } = flowing
  const frictionM = zeros(problem.links.length)
  const frictionSlopes = zeros(problem.links.length)
  const fittingsM = zeros(problem.links.length)
  for (let i = 0; i < live.length; i++) {
    const link = live[i]!
    linkLoss(searches[i]!, flowsM3PerS[link]!, loss)
    frictionM[link] = loss.frictionM
    frictionSlopes[link] = loss.frictionSlope
    fittingsM[link] = loss.fittingsM
  }
  const tees = unsettledLinkId === null ? solvedTees(network) : []
  for (const { legs } of tees) {
    for (const { link, lossM } of legs) if (link >= 0) fittingsM[link] = fittingsM[link]! + lossM
  }
  return {
    flows: { flowsM3PerS, headsM, frictionM, frictionSlopes, fittingsM, tees },
    iterations,
    unsettledLinkId,
  }
}

/** Every tee that carries water, as it runs. */
function solvedTees(network: Network): SolvedTee[] {
  const { tree, problem, live, flow, tee } = network
  return flatMap(tree.tees, (place, t): SolvedTee[] => {
    const law = problem.nodes[place.node]!.tee?.law
    if (!law) return []
    askTee(network, t, law, tee)
    const { common, dividing, velocityHeadM } = tee
    if (velocityHeadM === 0) return []
    const commonFlow = Math.abs(flow[linkOn(place, common)]!)
    const legs = LEGS.filter((leg) => leg !== common).map((leg): SolvedLeg => {
      const at = linkOn(place, leg)
      const lossM = dividing ? -tee.headM[leg]! : tee.headM[leg]!
      return {
        leg,
        share: at < 0 ? 0 : Math.abs(flow[at]!) / commonFlow,
        lossM,
        k: lossM / velocityHeadM,
        link: at < 0 || flow[at] === 0 ? -1 : live[at]!,
      }
    })
    return [{ node: place.node, common, dividing, velocityHeadM, legs }]
  })
}

const LEGS: readonly TeeLeg[] = [0, 1, 2]

/** The live link on a leg; −1: none. */
function linkOn({ up, a, b, upLeg, aLeg, bLeg }: TreeTee, leg: TeeLeg): number {
  if (leg === upLeg) return up
  if (leg === aLeg) return a
  return leg === bLeg ? b : -1
}
