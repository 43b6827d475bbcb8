import { boreAreaM2 } from '../pipe/flow.ts'
import { orderJunctions } from './junctions.ts'
import { linkLaw, type LinkLaw } from './laws.ts'
import { AS_COMPUTED, type LossScale } from './line.ts'
import type { NetworkProblem } from './problem.ts'
import type { Envelope } from '../numeric/envelope.ts'

/** First guess of the water's speed in every link, m/s. */
const GUESS_M_PER_S = 0.5
/** First guess in a link that has no pipe and no fitting, m³/s. */
const GUESS_M3_PER_S = 1e-4

/** A network packed for solving: the links that can carry water, and room to work in. */
export interface Network {
  readonly problem: NetworkProblem
  readonly envelope: Envelope
  /** Row of each node; −1 known head, −2 cut off. */
  readonly row: Int32Array
  /** The problem's place of each live link; the arrays below run in this order. */
  readonly live: Int32Array
  readonly fromNode: Int32Array
  readonly toNode: Int32Array
  readonly laws: readonly LinkLaw[]
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
  const alive = live.map((l) => links[l]!)
  return {
    problem,
    envelope,
    row,
    live: Int32Array.from(live),
    fromNode: Int32Array.from(alive, (link) => link.from),
    toNode: Int32Array.from(alive, (link) => link.to),
    laws: alive.map((link) => linkLaw(link, water, scale)),
    guess: Float64Array.from(alive, ({ line, pump }) => {
      const boreM = line[0]?.boreM ?? pump?.outletBoreM
      return boreM === undefined ? GUESS_M3_PER_S : GUESS_M_PER_S * boreAreaM2(boreM)
    }),
    flow: room(),
    head: room(),
    slope: room(),
    step: room(),
    nodeHead: Float64Array.from(nodes, (node, n) => (row[n] === -2 ? NaN : (node.headM ?? 0))),
    matrix: new Float64Array(envelope.length),
    rhs: new Float64Array(envelope.size),
  }
}

/** The same network with its losses scaled: for the honest band. */
export function rescaled(network: Network, scale: LossScale): Network {
  const { problem, live } = network
  const laws = Array.from(live, (l) => linkLaw(problem.links[l]!, problem.water, scale))
  return { ...network, laws }
}

/** The same network against other known heads; which links carry water must not change. */
export function withHeads(network: Network, problem: NetworkProblem): Network {
  const { row } = network
  const nodeHead = Float64Array.from(problem.nodes, (node, n) =>
    row[n] === -2 ? NaN : (node.headM ?? 0),
  )
  return { ...network, problem, nodeHead }
}
