import { type TeeAt, type TeeLaw, teeRoom } from '../fitting/index.ts'
import { zeros } from '../numeric/index.ts'
import { boreAreaM2 } from '../pipe/index.ts'
import { type LinkSearch, roomOf, searchAt } from './laws.ts'
import type { NetworkLink, NetworkProblem } from './problem.ts'
import { LEGS, type Tree, treeOf } from './tree.ts'
import type { Sides } from './slopes.ts'
import { TreeMatrix } from './tree-matrix.ts'

/** First guess of the water's speed in every link, m/s: what keepers size pipes for. */
const GUESS_M_PER_S = 1
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
  /** In each link's own direction. */
  readonly flow: number[]
  /** How far each link is from balancing its heads, m, counted away from the root. */
  readonly off: number[]
  /** Head of every node; those that are known are moved with the water. */
  readonly nodeHead: number[]
  readonly matrix: TreeMatrix
  readonly sides: Sides
  /** Of each tee of the tree; null: it costs nothing. */
  readonly laws: readonly (TeeLaw | null)[]
  readonly tee: TeeAt
  /** Of each tee, three numbers: its upper leg's head over its common leg's, and how that moves with the flow down a and b. */
  readonly upper: number[]
}

/** A network made ready to be solved. */
export function makeNetwork(problem: NetworkProblem): Network {
  const { nodes } = problem
  const tree = problem.tree ?? treeOf(problem)
  const vector = () => zeros(tree.live.length)
  const nodeHead = zeros(nodes.length)
  for (let n = 0; n < nodes.length; n++) nodeHead[n] = nodes[n]!.headM ?? NaN
  return {
    problem,
    tree,
    live: tree.live,
    searches: searchesOf(problem, tree),
    guess: guessesOf(problem, tree),
    flow: vector(),
    off: vector(),
    nodeHead,
    matrix: new TreeMatrix(tree, nodes.length),
    sides: {
      link: vector(),
      legs: zeros(2 * tree.tees.length),
      surplus: zeros(tree.tees.length),
      known: nodeHead,
    },
    laws: tree.tees.map(({ node }) => nodes[node]!.tee?.law ?? null),
    tee: teeRoom(),
    upper: zeros(LEGS * tree.tees.length),
  }
}

/** Searches along the live links, their numbers in one list. */
function searchesOf({ links, water }: NetworkProblem, { live }: Tree): LinkSearch[] {
  let room = 0
  for (let i = 0; i < live.length; i++) room += roomOf(links[live[i]!]!)
  const numbers = zeros(room)
  const searches: LinkSearch[] = []
  let at = 0
  for (let i = 0; i < live.length; i++) {
    const link = links[live[i]!]!
    searches.push(searchAt(link, water, link.oneWay, { numbers, at }))
    at += roomOf(link)
  }
  return searches
}

function guessesOf({ links }: NetworkProblem, { live }: Tree): number[] {
  const guess = zeros(live.length)
  for (let i = 0; i < live.length; i++) guess[i] = guessOf(links[live[i]!]!)
  return guess
}

function guessOf({ line, pump }: NetworkLink): number {
  const wall = line.walls[0]
  // Re ν/|q| = D/A = 4/(π D).
  const boreM = pump?.outletBoreM ?? (wall ? 4 / (Math.PI * wall.rePerFlow) : null)
  return boreM === null ? GUESS_M3_PER_S : GUESS_M_PER_S * boreAreaM2(boreM)
}
