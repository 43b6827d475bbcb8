import { teeAt, type TeeAt, type TeeLaw } from '../fitting/index.ts'
import { linkHead, type LinkHead, searchOf } from './laws.ts'
import type { Network } from './network.ts'
import type { TreeTee } from './tree.ts'

/** What comes into a tee's legs; read at once, it holds nothing between two calls. */
const INTO = [0.5, 0.5, 0.5]

/**
 * Heads of every tee's two lower legs over its upper leg, and how they move with the flows down
 * them, written into the network's sides and matrix.
 *
 * @param share how much of a tee counts: 1, or less on the way to it; 0: none is asked
 */
export function evaluateTees(network: Network, share: number): void {
  const { tree, laws } = network
  for (let t = 0; t < tree.tees.length; t++) {
    const law = laws[t]
    if (law && share > 0) {
      askTee(network, tree.tees[t]!, law, network.tee)
      setTee(network, t, share)
      continue
    }
    setNothing(network, t)
  }
}

/** What was asked of a tee as heads over its upper leg's, with their slopes: as much comes in at the upper leg as goes out by a lower one. */
function setTee({ tree, sides, matrix, tee, upper }: Network, t: number, share: number): void {
  const { upLeg, aLeg, bLeg } = tree.tees[t]!
  const { common, shareLeg, headM, perCommon, perShare } = tee
  const { aa, ab, ba, bb } = matrix.tees
  const upM = headM[upLeg]!
  // What a flow down a lower leg adds to the common inflow and to that of the leg with the share.
  const commonA = common === upLeg ? 1 : common === aLeg ? -1 : 0
  const commonB = common === upLeg ? 1 : common === bLeg ? -1 : 0
  const shareA = shareLeg === upLeg ? 1 : shareLeg === aLeg ? -1 : 0
  const shareB = shareLeg === upLeg ? 1 : shareLeg === bLeg ? -1 : 0
  const upA = commonA * perCommon[upLeg]! + shareA * perShare[upLeg]!
  const upB = commonB * perCommon[upLeg]! + shareB * perShare[upLeg]!
  upper.headM[t] = upM
  upper.perA[t] = upA
  upper.perB[t] = upB
  if (aLeg >= 0) {
    sides.a[t] = share * (headM[aLeg]! - upM)
    aa[t] = share * (commonA * perCommon[aLeg]! + shareA * perShare[aLeg]! - upA)
    ab[t] = bLeg < 0 ? 0 : share * (commonB * perCommon[aLeg]! + shareB * perShare[aLeg]! - upB)
  }
  if (bLeg >= 0) {
    sides.b[t] = share * (headM[bLeg]! - upM)
    ba[t] = aLeg < 0 ? 0 : share * (commonA * perCommon[bLeg]! + shareA * perShare[bLeg]! - upA)
    bb[t] = share * (commonB * perCommon[bLeg]! + shareB * perShare[bLeg]! - upB)
  }
}

function setNothing({ sides, matrix, upper }: Network, t: number): void {
  const { aa, ab, ba, bb } = matrix.tees
  upper.headM[t] = 0
  upper.perA[t] = 0
  upper.perB[t] = 0
  sides.a[t] = 0
  sides.b[t] = 0
  aa[t] = 0
  ab[t] = 0
  ba[t] = 0
  bb[t] = 0
}

/** What a tee does at the flows as they stand. */
export function askTee(
  { tree, flow, problem }: Network,
  place: TreeTee,
  law: TeeLaw,
  into: TeeAt,
): void {
  const { up, a, b, upLeg, aLeg, bLeg, aSign, bSign } = place
  INTO[0] = 0
  INTO[1] = 0
  INTO[2] = 0
  INTO[upLeg] = tree.sign[up]! * flow[up]!
  if (a >= 0) INTO[aLeg] = -aSign * flow[a]!
  if (b >= 0) INTO[bLeg] = -bSign * flow[b]!
  teeAt(law, INTO, problem.water.kinematicM2PerS, into)
}

/** Below this share of a tee's flow a leg is as good as still: which leg is the common one may then turn with a last step. */
const AS_GOOD_AS_STILL = 1e-6

/** Head of every node where the last step came to rest: a tee's is its common leg's. */
export function headsOf(network: Network): number[] {
  const { tree, matrix, nodeHead } = network
  const heads = nodeHead.slice()
  for (let t = 0; t < tree.tees.length; t++) {
    heads[tree.tees[t]!.node] = matrix.head[t]! - upperHeadM(network, t)
  }
  addStill(network, heads)
  return heads
}

/** Head of a tee's upper leg over its common leg's after the last step. */
function upperHeadM(network: Network, t: number): number {
  const { tree, laws, flow, step, upper, tee } = network
  const law = laws[t]
  if (!law) return 0
  const place = tree.tees[t]!
  const { up, a, b, aSign, bSign } = place
  const upFlow = flowOn(flow, up)
  const aFlow = flowOn(flow, a)
  const bFlow = flowOn(flow, b)
  const least = AS_GOOD_AS_STILL * Math.max(upFlow, aFlow, bFlow)
  if (upFlow <= least || aFlow <= least || bFlow <= least) {
    askTee(network, place, law, tee)
    return tee.headM[place.upLeg]!
  }
  return upper.headM[t]! + upper.perA[t]! * aSign * step[a]! + upper.perB[t]! * bSign * step[b]!
}

function flowOn(flow: readonly number[], link: number): number {
  return link < 0 ? 0 : Math.abs(flow[link]!)
}

/** Where nothing flows, a head spreads from a node, or the leg of a tee, to the next through whatever stands between. */
function addStill(network: Network, heads: number[]): void {
  const { problem, tree, tee } = network
  const { nodes, links, water } = problem
  for (const { node, link } of tree.still) {
    if (link < 0) continue
    const { from, to } = links[link]!
    const at: LinkHead = { headM: 0, slope: 0 }
    linkHead(searchOf(links[link]!, water), 0, at)
    const known = from === node ? to : from
    const place = tree.tees.find((other) => other.node === known)
    const law = nodes[known]!.tee?.law
    let headM = heads[known]!
    if (place && law) {
      askTee(network, place, law, tee)
      headM += tee.headM[nodes[known]!.tee!.legs.indexOf(link)]!
    }
    heads[node] = headM + (from === node ? at.headM : -at.headM)
  }
}
