import { noPlaces, wholeZeros, zeros } from '../numeric/index.ts'
import type { Graph } from './graph.ts'
import { OpenEnds, liveOf, stillNodes } from './reach.ts'

/** A tee's legs. */
export const LEGS = 3

/** What hangs on one of a tee's two legs that lead away from the root. */
export const NOTHING = 0
/** A branch of the tree: its head follows from its flow. */
export const BRANCHES = 1
/** A link whose flow is decided elsewhere: a chord, or a branch that only chords feed. */
export const DRIVEN = 2

/** A tee in its place in the tree; `a` and `b` are its legs away from the root. Live links by their place among the live. */
export interface TreeTee {
  readonly node: number
  readonly up: number
  readonly a: number
  readonly b: number
  readonly aKind: number
  readonly bKind: number
  /** Which of the tee's three legs each is: its place in `TEE_LEGS`. */
  readonly upLeg: number
  readonly aLeg: number
  readonly bLeg: number
  /** +1 where a leg's link leads away from the tee by its own direction, −1 where it leads to it. */
  readonly aSign: number
  readonly bSign: number
  /** No end with a known head below it: what flows up is what its chords bring. */
  readonly driven: boolean
}

/** One end of a chord. */
export interface ChordEnd {
  readonly tee: number
  readonly onA: boolean
}

/** A link that closes a loop: it hangs on two tees as a leg whose flow is one more unknown. */
export interface Chord {
  readonly link: number
  /** Where it starts and where it ends, by its own direction. */
  readonly from: ChordEnd
  readonly to: ChordEnd
}

/**
 * The tees' legs by their own place, three a tee, for whom asks the tees' law: the link on each leg,
 * with +1 where what flows by the link's own direction comes in (−1 where it goes out; nil where
 * nothing is on it), and what a flow down leg a, and down leg b, adds to what comes in.
 */
export interface TreeLegs {
  readonly link: number[]
  readonly comesIn: number[]
  readonly perA: number[]
  readonly perB: number[]
}

/** A network as trees: each has a root, a link that begins at a known head. */
export interface Tree {
  /** Places of the links that can carry water. */
  readonly live: readonly number[]
  /** Of each link its place among these; −1: it carries none. */
  readonly place: readonly number[]
  /** Children before their parents. */
  readonly tees: readonly TreeTee[]
  readonly legs: TreeLegs
  /** The tee at the far end of a live link, seen from the root; −1: a known head, or the link is a chord. */
  readonly below: number[]
  /** The node at the far end of a live link. */
  readonly farNode: number[]
  /** +1 where a live link leads away from the root, −1 where it leads to it. */
  readonly sign: number[]
  /** Links at known heads that the trees hang on, and that head's node. */
  readonly roots: readonly { readonly link: number; readonly node: number }[]
  /** Links whose far end has a known head. */
  readonly leaves: readonly number[]
  readonly chords: readonly Chord[]
  /** Nodes that no water reaches, in an order in which each has a neighbour known before it, with the link between; −1: none. */
  readonly still: readonly { readonly node: number; readonly link: number }[]
}

/** Sorts a network's links and tees into trees. Throws on a node where more than three links meet. */
export function treeOf({ nodes, links }: Graph): Tree {
  const ends = new OpenEnds(nodes, links)
  const live = liveOf({ nodes, links }, ends)
  const place = noPlaces(links.length)
  for (let i = 0; i < live.length; i++) place[live[i]!] = i
  const growing = new Growing({ nodes, links }, ends, place, live.length)
  // A pump's end first: most of the water comes in there.
  for (let i = 0; i < live.length; i++) if (links[live[i]!]!.pump !== null) growing.root(live[i]!)
  for (let i = 0; i < live.length; i++) growing.root(live[i]!)
  const { tees, legs, below, farNode, sign, roots, leaves } = growing
  return {
    live,
    place,
    tees,
    legs,
    below,
    farNode,
    sign,
    roots,
    leaves,
    chords: growing.chords(),
    still: stillNodes({ nodes, links }, ends, growing.teeOf),
  }
}

/** A tree while it grows. */
class Growing {
  readonly tees: TreeTee[] = []
  readonly legs: TreeLegs
  readonly below: number[]
  readonly farNode: number[]
  readonly sign: number[]
  readonly roots: { link: number; node: number }[] = []
  readonly leaves: number[] = []
  /** Place of each node's tee in the tree; −1: none yet, −2: being grown. */
  readonly teeOf: number[]
  readonly #graph: Graph
  readonly #ends: OpenEnds
  readonly #place: readonly number[]
  readonly #seen: number[]
  /** Which links were found to close a loop. */
  readonly #hangs: number[]
  readonly #hanging: number[] = []

  constructor(graph: Graph, ends: OpenEnds, place: readonly number[], live: number) {
    this.#graph = graph
    this.#ends = ends
    this.#place = place
    this.below = noPlaces(live)
    this.farNode = wholeZeros(live)
    this.sign = zeros(live)
    this.teeOf = noPlaces(graph.nodes.length)
    this.#seen = wholeZeros(graph.links.length)
    this.#hangs = wholeZeros(graph.links.length)
    for (let i = 0; i < live; i++) this.sign[i] = 1
    const legs = LEGS * graph.nodes.length
    this.legs = {
      link: wholeZeros(legs),
      comesIn: zeros(legs),
      perA: zeros(legs),
      perB: zeros(legs),
    }
  }

  /** Grows a tree from a link that ends at a known head, where none has grown over it. */
  root(l: number): void {
    const { nodes, links } = this.#graph
    if (this.#seen[l] === 1) return
    const { from, to } = links[l]!
    const node = nodes[from]!.headM !== null ? from : to
    if (nodes[node]!.headM === null) return
    this.roots.push({ link: this.#place[l]!, node })
    this.#grow(l, node)
  }

  /** What a grown link is to the tee above it. */
  #grow(l: number, fromNode: number): number {
    const { nodes, links } = this.#graph
    const at = this.#place[l]!
    const { from, to } = links[l]!
    const node = from === fromNode ? to : from
    this.#seen[l] = 1
    this.sign[at] = from === fromNode ? 1 : -1
    this.farNode[at] = node
    if (nodes[node]!.headM !== null) {
      this.leaves.push(at)
      return BRANCHES
    }
    this.teeOf[node] = -2
    const a = this.#other(node, l, -1)
    const b = a < 0 ? -1 : this.#other(node, l, a)
    if (b >= 0) this.#noFourth(node, l, b)
    const grownA = a < 0 ? NOTHING : this.#growsInto(a, node)
    const bKind = b < 0 ? NOTHING : this.#growsInto(b, node)
    // A link that came back to here from further down was met there first.
    const aKind = a >= 0 && this.#hangs[a] === 1 ? DRIVEN : grownA
    return this.#setTee(node, l, { a, b, aKind, bKind })
  }

  /** The next live link at a node after one of them, another than what leads there; −1: none. */
  #other(node: number, up: number, after: number): number {
    const { first, next } = this.#ends
    for (let end = first[node]!; end >= 0; end = next[end]!) {
      const l = end >> 1
      if (l > after && l !== up && this.#place[l]! >= 0) return l
    }
    return -1
  }

  #noFourth(node: number, up: number, b: number): void {
    if (this.#other(node, up, b) < 0) return
    throw new RangeError(`more than three links meet at ${this.#graph.nodes[node]!.id}`)
  }

  /** What a link is to the tee above it, grown unless it leads back to one that is met already. */
  #growsInto(l: number, fromNode: number): number {
    if (this.#hangs[l] === 1) return DRIVEN
    const { from, to } = this.#graph.links[l]!
    if (this.teeOf[from === fromNode ? to : from] === -1) return this.#grow(l, fromNode)
    this.#hanging.push(l)
    this.#hangs[l] = 1
    this.#seen[l] = 1
    return DRIVEN
  }

  /** Sets the tee at a node, its legs grown; what the link above it is to the tee above that. */
  #setTee(
    node: number,
    up: number,
    { a, b, aKind, bKind }: Pick<TreeTee, 'a' | 'b' | 'aKind' | 'bKind'>,
  ): number {
    const { links } = this.#graph
    const at = this.tees.length
    const driven = aKind !== BRANCHES && bKind !== BRANCHES
    const tee = {
      node,
      up: this.#place[up]!,
      a: a < 0 ? -1 : this.#place[a]!,
      b: b < 0 ? -1 : this.#place[b]!,
      aKind,
      bKind,
      upLeg: this.#legOf(node, up),
      aLeg: a < 0 ? -1 : this.#legOf(node, a),
      bLeg: b < 0 ? -1 : this.#legOf(node, b),
      aSign: a >= 0 && links[a]!.from === node ? 1 : -1,
      bSign: b >= 0 && links[b]!.from === node ? 1 : -1,
      driven,
    }
    this.tees.push(tee)
    this.#setLegs(tee)
    this.teeOf[node] = at
    this.below[tee.up] = at
    return driven ? DRIVEN : BRANCHES
  }

  #setLegs({ up, a, b, upLeg, aLeg, bLeg, aSign, bSign }: TreeTee): void {
    const { link, comesIn, perA, perB } = this.legs
    const first = LEGS * (this.tees.length - 1)
    link[first + upLeg] = up
    comesIn[first + upLeg] = this.sign[up]!
    if (a >= 0) {
      link[first + aLeg] = a
      comesIn[first + aLeg] = -aSign
      perA[first + upLeg] = 1
      perA[first + aLeg] = -1
    }
    if (b >= 0) {
      link[first + bLeg] = b
      comesIn[first + bLeg] = -bSign
      perB[first + upLeg] = 1
      perB[first + bLeg] = -1
    }
  }

  /** Which leg of a node's tee a link stands on; in order where the node costs nothing. */
  #legOf(node: number, link: number): number {
    const { tee, id } = this.#graph.nodes[node]!
    if (!tee?.law) return this.#orderAt(node, link)
    const { legs } = tee
    if (legs[0] === link) return 0
    if (legs[1] === link) return 1
    if (legs[2] === link) return 2
    throw new RangeError(`the tee ${id} has no leg for a link that ends there`)
  }

  #orderAt(node: number, link: number): number {
    let order = 0
    for (let l = this.#other(node, link, -1); l >= 0 && l < link; l = this.#other(node, link, l)) {
      order++
    }
    return order
  }

  chords(): Chord[] {
    const { links } = this.#graph
    return this.#hanging.map((l) => {
      const { from, to } = links[l]!
      return { link: this.#place[l]!, from: this.#chordEnd(l, from), to: this.#chordEnd(l, to) }
    })
  }

  #chordEnd(l: number, node: number): ChordEnd {
    const tee = this.teeOf[node]!
    return { tee, onA: this.tees[tee]!.a === this.#place[l] }
  }
}
