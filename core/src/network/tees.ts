import { teeAt, type TeeAt, type TeeLaw } from '../fitting/index.ts'
import { zeros } from '../numeric/index.ts'
import { linkHead, type LinkHead, searchOf } from './laws.ts'
import type { Network } from './network.ts'
import { AA, AB, BA, BB, TEE_SLOPES } from './slopes.ts'
import { LEGS, type TreeLegs } from './tree.ts'

/** What comes into a tee's legs; read at once, it holds nothing between two calls. */
const INTO = zeros(3)

/** Where the numbers of a tee's upper leg stand, behind its head. */
const PER_A = 1
const PER_B = 2

/**
 * Heads of every tee's two lower legs over its upper leg, and how they move with the flows down
 * them, written into the network's sides and matrix.
 *
 * @param share how much of a tee counts: 1, or less on the way to it; 0: none is asked
 */
export function evaluateTees(network: Network, share: number): void {
  const { tree, laws, tee, sides, matrix, upper, flow, problem } = network
  if (share === 0) return costNothing(network)
  const { perA, perB } = tree.legs
  const { headM, perCommon, perShare } = tee
  const { legs } = sides
  const { tees } = matrix
  const { kinematicM2PerS } = problem.water
  for (let t = 0; t < tree.tees.length; t++) {
    const law = laws[t]
    if (!law) continue
    const at = LEGS * t
    teeAt(law, allComingIn(tree.legs, flow, at), kinematicM2PerS, tee)
    const { upLeg, aLeg, bLeg } = tree.tees[t]!
    const { common, shareLeg } = tee
    // What a flow down a lower leg adds to the common inflow and to that of the leg with the share.
    const commonA = perA[at + common]!
    const commonB = perB[at + common]!
    const shareA = perA[at + shareLeg]!
    const shareB = perB[at + shareLeg]!
    const upM = headM[upLeg]!
    const upCommon = perCommon[upLeg]!
    const upShare = perShare[upLeg]!
    upper[at] = upM
    upper[at + PER_A] = commonA * upCommon + shareA * upShare
    upper[at + PER_B] = commonB * upCommon + shareB * upShare
    const slopes = TEE_SLOPES * t
    // As much comes in at the upper leg as goes out by a lower one.
    if (aLeg >= 0) {
      const byCommon = perCommon[aLeg]! - upCommon
      const byShare = perShare[aLeg]! - upShare
      legs[2 * t] = headM[aLeg]! - upM
      tees[slopes + AA] = commonA * byCommon + shareA * byShare
      tees[slopes + AB] = commonB * byCommon + shareB * byShare
    }
    if (bLeg >= 0) {
      const byCommon = perCommon[bLeg]! - upCommon
      const byShare = perShare[bLeg]! - upShare
      legs[2 * t + 1] = headM[bLeg]! - upM
      tees[slopes + BA] = commonA * byCommon + shareA * byShare
      tees[slopes + BB] = commonB * byCommon + shareB * byShare
    }
  }
  if (share !== 1) takeShare(network, share)
}

function costNothing({ sides, matrix, upper }: Network): void {
  for (let i = 0; i < upper.length; i++) upper[i] = 0
  for (let i = 0; i < sides.legs.length; i++) sides.legs[i] = 0
  for (let i = 0; i < matrix.tees.length; i++) matrix.tees[i] = 0
}

/** Lets only so much of the tees count; what the upper legs stand at over the common ones is asked at the end alone. */
function takeShare({ sides, matrix }: Network, share: number): void {
  for (let i = 0; i < sides.legs.length; i++) sides.legs[i] = share * sides.legs[i]!
  for (let i = 0; i < matrix.tees.length; i++) matrix.tees[i] = share * matrix.tees[i]!
}

/** What comes in by one leg, by its place among the legs of all tees, m³/s. */
export function comingIn({ link, comesIn }: TreeLegs, flow: readonly number[], at: number): number {
  return comesIn[at]! * flow[link[at]!]!
}

/** What comes in by all legs of the tee whose first leg stands there. */
function allComingIn(legs: TreeLegs, flow: readonly number[], at: number): readonly number[] {
  INTO[0] = comingIn(legs, flow, at)
  INTO[1] = comingIn(legs, flow, at + 1)
  INTO[2] = comingIn(legs, flow, at + 2)
  return INTO
}

/** What the tee at a place of the tree does at the flows as they stand. */
export function askTee(
  { tree, flow, problem }: Network,
  t: number,
  law: TeeLaw,
  into: TeeAt,
): void {
  teeAt(law, allComingIn(tree.legs, flow, LEGS * t), problem.water.kinematicM2PerS, into)
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
  const { tree, laws, flow, matrix, upper, tee } = network
  const law = laws[t]
  if (!law) return 0
  const place = tree.tees[t]!
  const { up, a, b, aSign, bSign } = place
  const upFlow = flowOn(flow, up)
  const aFlow = flowOn(flow, a)
  const bFlow = flowOn(flow, b)
  // No leg carries more than the other two.
  const least = (AS_GOOD_AS_STILL / 2) * (upFlow + aFlow + bFlow)
  if (upFlow <= least || aFlow <= least || bFlow <= least) {
    askTee(network, t, law, tee)
    return tee.headM[place.upLeg]!
  }
  const at = LEGS * t
  const downA = aSign * tree.sign[a]! * matrix.flow[a]!
  const downB = bSign * tree.sign[b]! * matrix.flow[b]!
  return upper[at]! + upper[at + PER_A]! * downA + upper[at + PER_B]! * downB
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
    const place = tree.tees.findIndex((other) => other.node === known)
    const law = nodes[known]!.tee?.law
    let headM = heads[known]!
    if (place >= 0 && law) {
      askTee(network, place, law, tee)
      headM += tee.headM[nodes[known]!.tee!.legs.indexOf(link)]!
    }
    heads[node] = headM + (from === node ? at.headM : -at.headM)
  }
}
