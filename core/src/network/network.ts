import { type TeeAt, type TeeLaw, teeRoom } from '../fitting/index.ts'
import { zeros } from '../numeric/index.ts'
import { boreAreaM2 } from '../pipe/index.ts'
import { type LinkSearch, searchOf } from './laws.ts'
import type { NetworkLink, NetworkProblem } from './problem.ts'
import { type Tree, treeOf } from './tree.ts'
import { type Sides, TreeMatrix } from './tree-matrix.ts'

/** First guess of the water's speed in every link, m/s. */
const GUESS_M_PER_S = 0.5
/** First guess in a link that has no pump and no pipe, m³/s. */
const GUESS_M3_PER_S = 1e-4

/**
 * A network packed for solving: the links that can carry water, and room to work in. Who solves it
 * moves what is in it.
 */
export interface Network {
  readonly problem: NetworkProblem
  readonly tree: Tree
  /** Places of the links that can carry water; the lists below run in this order. */
  readonly live: readonly number[]
  readonly searches: readonly LinkSearch[]
  readonly guess: number[]
  /** In each link's own direction, as the heads and slopes are. */
  readonly flow: number[]
  readonly head: number[]
  readonly step: number[]
  /** How far each link is from balancing its heads, m, counted as its flow is. */
  readonly off: number[]
  /** Head of every node; those that are known are moved with the water. A tee's is its upper leg's while the search goes on. */
  readonly nodeHead: number[]
  readonly matrix: TreeMatrix
  readonly sides: Sides
  /** Of each tee of the tree; null: it costs nothing. */
  readonly laws: readonly (TeeLaw | null)[]
  readonly tee: TeeAt
  /** Of each tee: its upper leg's head over its common leg's, and how that moves with the flow down a and b. */
  readonly upper: { readonly headM: number[]; readonly perA: number[]; readonly perB: number[] }
}

/** A network made ready to be solved. */
export function makeNetwork(problem: NetworkProblem): Network {
  const { nodes, links, water } = problem
  const tree = problem.tree ?? treeOf(problem)
  const vector = () => zeros(tree.live.length)
  const ofTees = () => zeros(tree.tees.length)
  const nodeHead = zeros(nodes.length)
  for (let n = 0; n < nodes.length; n++) nodeHead[n] = nodes[n]!.headM ?? NaN
  return {
    problem,
    tree,
    live: tree.live,
    searches: tree.live.map((l) => searchOf(links[l]!, water, links[l]!.oneWay)),
    guess: tree.live.map((l) => guessOf(links[l]!)),
    flow: vector(),
    head: vector(),
    step: vector(),
    off: vector(),
    nodeHead,
    matrix: new TreeMatrix(tree, nodes.length),
    sides: { link: vector(), a: ofTees(), b: ofTees(), surplus: ofTees(), known: nodeHead },
    laws: tree.tees.map(({ node }) => nodes[node]!.tee?.law ?? null),
    tee: teeRoom(),
    upper: { headM: ofTees(), perA: ofTees(), perB: ofTees() },
  }
}

function guessOf({ line, pump }: NetworkLink): number {
  const wall = line.walls[0]
  // Re ν/|q| = D/A = 4/(π D).
  const boreM = pump?.outletBoreM ?? (wall ? 4 / (Math.PI * wall.rePerFlow) : null)
  return boreM === null ? GUESS_M3_PER_S : GUESS_M_PER_S * boreAreaM2(boreM)
}
