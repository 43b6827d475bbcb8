import type { Envelope } from '../numeric/index.ts'
import { boreAreaM2 } from '../pipe/index.ts'
import { orderJunctions } from './junctions.ts'
import { copySearch, linkLaw, type LinkSearch, searchOf } from './laws.ts'
import { AS_COMPUTED, type LossScale } from './line.ts'
import type { NetworkLink, NetworkProblem } from './problem.ts'

/** First guess of the water's speed in every link, m/s. */
const GUESS_M_PER_S = 0.5
/** First guess in a link that has no pipe and no fitting, m³/s. */
const GUESS_M3_PER_S = 1e-4

/**
 * A network packed for solving: the links that can carry water, and room to work in. Who solves it
 * moves what is in it; one that is kept is worked at as a copy (`copyOf`).
 */
export interface Network {
  readonly problem: NetworkProblem
  readonly envelope: Envelope
  /** Row of each node; −1 known head, −2 cut off. */
  readonly row: Int32Array
  /** The problem's place of each live link; the arrays below run in this order. */
  readonly live: Int32Array
  readonly fromNode: Int32Array
  readonly toNode: Int32Array
  readonly searches: readonly LinkSearch[]
  readonly scale: LossScale
  readonly guess: Float64Array
  readonly flow: Float64Array
  readonly head: Float64Array
  readonly slope: Float64Array
  readonly step: Float64Array
  /** Head of every node, known ones filled in. */
  readonly nodeHead: Float64Array
  readonly matrix: Float64Array
  readonly rhs: Float64Array
}

export function makeNetwork(problem: NetworkProblem, scale: LossScale = AS_COMPUTED): Network {
  const { nodes, links, water } = problem
  const { live, row, envelope } = orderJunctions(problem)
  const room = () => new Float64Array(live.length)
  const fromNode = new Int32Array(live.length)
  const toNode = new Int32Array(live.length)
  const guess = room()
  const searches = live.map((l, i) => {
    const link = links[l]!
    fromNode[i] = link.from
    toNode[i] = link.to
    guess[i] = guessOf(link)
    return searchOf(linkLaw(link, water), link.oneWay)
  })
  const nodeHead = new Float64Array(nodes.length)
  for (let n = 0; n < row.length; n++) nodeHead[n] = row[n] === -2 ? NaN : (nodes[n]!.headM ?? 0)
  return {
    problem,
    envelope,
    row,
    live: new Int32Array(live),
    fromNode,
    toNode,
    searches,
    scale,
    guess,
    flow: room(),
    head: room(),
    slope: room(),
    step: room(),
    nodeHead,
    matrix: new Float64Array(envelope.length),
    rhs: new Float64Array(envelope.size),
  }
}

function guessOf({ line, pump }: NetworkLink): number {
  const boreM = line[0]?.boreM ?? pump?.outletBoreM
  return boreM === undefined ? GUESS_M3_PER_S : GUESS_M_PER_S * boreAreaM2(boreM)
}

/** A network that stands where another does, and goes its own way from there. */
export function copyOf(network: Network): Network {
  return {
    ...network,
    searches: network.searches.map(copySearch),
    flow: network.flow.slice(),
    head: network.head.slice(),
    slope: network.slope.slice(),
    step: network.step.slice(),
    nodeHead: network.nodeHead.slice(),
    matrix: network.matrix.slice(),
    rhs: network.rhs.slice(),
  }
}

/** The same network with its losses scaled: for the honest band. */
export function rescaled(network: Network, scale: LossScale): Network {
  return { ...network, scale }
}
