import { type Envelope, wholeZeros, zeros } from '../numeric/index.ts'
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
  readonly row: number[]
  /** The problem's place of each live link; the arrays below run in this order. */
  readonly live: readonly number[]
  readonly fromNode: number[]
  readonly toNode: number[]
  readonly searches: readonly LinkSearch[]
  /** Its losses scaled, for the honest band. */
  scale: LossScale
  readonly guess: number[]
  readonly flow: number[]
  readonly head: number[]
  readonly slope: number[]
  readonly step: number[]
  /** Head of every node, known ones filled in. */
  readonly nodeHead: number[]
  readonly matrix: number[]
  readonly rhs: number[]
}

/** A network made ready to be solved: rows of unknown heads, guesses, room for the steps. */
export function makeNetwork(problem: NetworkProblem, scale: LossScale = AS_COMPUTED): Network {
  const { nodes, links, water } = problem
  const { live, row, envelope } = orderJunctions(problem)
  const vector = () => zeros(live.length)
  const fromNode = wholeZeros(live.length)
  const toNode = wholeZeros(live.length)
  const guess = vector()
  const searches = live.map((l, i) => {
    const link = links[l]!
    fromNode[i] = link.from
    toNode[i] = link.to
    guess[i] = guessOf(link)
    return searchOf(linkLaw(link, water), link.oneWay)
  })
  const nodeHead = zeros(nodes.length)
  for (let n = 0; n < row.length; n++) nodeHead[n] = row[n] === -2 ? NaN : (nodes[n]!.headM ?? 0)
  return {
    problem,
    envelope,
    row,
    live,
    fromNode,
    toNode,
    searches,
    scale,
    guess,
    flow: vector(),
    head: vector(),
    slope: vector(),
    step: vector(),
    nodeHead,
    matrix: zeros(envelope.length),
    rhs: zeros(envelope.size),
  }
}

function guessOf({ line, pump }: NetworkLink): number {
  const boreM = line[0]?.boreM ?? pump?.outletBoreM
  return boreM === undefined ? GUESS_M3_PER_S : GUESS_M_PER_S * boreAreaM2(boreM)
}

/** A network that stands where another does, and goes its own way from there. */
export function copyOf(network: Network): Network {
  return {
    problem: network.problem,
    envelope: network.envelope,
    row: network.row,
    live: network.live,
    fromNode: network.fromNode,
    toNode: network.toNode,
    searches: network.searches.map(copySearch),
    scale: network.scale,
    guess: network.guess,
    flow: network.flow.slice(),
    head: network.head.slice(),
    slope: network.slope.slice(),
    step: network.step.slice(),
    nodeHead: network.nodeHead.slice(),
    matrix: network.matrix.slice(),
    rhs: network.rhs.slice(),
  }
}
