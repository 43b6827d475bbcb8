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
  const { tree, sides, matrix, laws, tee } = network
  const { aa, ab, ba, bb } = matrix.tees
  for (let t = 0; t < tree.tees.length; t++) {
    const place = tree.tees[t]!
    const law = laws[t]
    if (!law || share === 0) {
      sides.a[t] = 0
      sides.b[t] = 0
      aa[t] = 0
      ab[t] = 0
      ba[t] = 0
      bb[t] = 0
      continue
    }
    askTee(network, place, law, tee)
    const { upLeg, aLeg, bLeg } = place
    if (aLeg >= 0) {
      sides.a[t] = share * (tee.headM[aLeg]! - tee.headM[upLeg]!)
      aa[t] = share * slope(tee, aLeg, upLeg, aLeg)
      ab[t] = bLeg >= 0 ? share * slope(tee, aLeg, upLeg, bLeg) : 0
    }
    if (bLeg >= 0) {
      sides.b[t] = share * (tee.headM[bLeg]! - tee.headM[upLeg]!)
      ba[t] = aLeg >= 0 ? share * slope(tee, bLeg, upLeg, aLeg) : 0
      bb[t] = share * slope(tee, bLeg, upLeg, bLeg)
    }
  }
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

/** d(head of a leg over the upper one)/d(flow down a lower leg): as much comes in at the upper leg as goes out by the lower. */
function slope(tee: TeeAt, leg: number, upLeg: number, moved: number): number {
  const { common, shareLeg, perCommon, perShare } = tee
  const byCommon = common === upLeg ? 1 : common === moved ? -1 : 0
  const byShare = shareLeg === upLeg ? 1 : shareLeg === moved ? -1 : 0
  return (
    byCommon * (perCommon[leg]! - perCommon[upLeg]!) + byShare * (perShare[leg]! - perShare[upLeg]!)
  )
}

/** Head of every node where the search came to rest: a tee's is its common leg's. */
export function headsOf(network: Network): number[] {
  const { laws, tree, matrix, tee, nodeHead } = network
  const heads = nodeHead.slice()
  for (let t = 0; t < tree.tees.length; t++) {
    const place = tree.tees[t]!
    const law = laws[t]
    heads[place.node] = matrix.head[t]!
    if (!law) continue
    askTee(network, place, law, tee)
    heads[place.node] = matrix.head[t]! - tee.headM[place.upLeg]!
  }
  addStill(network, heads)
  return heads
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
