import { flatMap, wholeZeros } from '../numeric/index.ts'
import type { Graph } from './graph.ts'

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

/** A network as trees: each has a root, a link that begins at a known head. */
export interface Tree {
  /** Places of the links that can carry water. */
  readonly live: readonly number[]
  /** Children before their parents. */
  readonly tees: readonly TreeTee[]
  /** The tee at the far end of a live link, seen from the root; −1: a known head, or the link is a chord. */
  readonly below: number[]
  /** The node at the far end of a live link. */
  readonly farNode: number[]
  /** +1 where a live link leads away from the root, −1 where it leads to it. */
  readonly sign: number[]
  /** Links at known heads that the trees hang on, and that head's node. */
  readonly roots: readonly { readonly link: number; readonly node: number }[]
  readonly chords: readonly Chord[]
  /** Nodes that no water reaches, in an order in which each has a neighbour known before it, with the link between; −1: none. */
  readonly still: readonly { readonly node: number; readonly link: number }[]
}

/** Sorts a network's links and tees into trees. Throws on a node where more than three links meet. */
export function treeOf({ nodes, links }: Graph): Tree {
  const beside: number[][] = nodes.map(() => [])
  const isOpen = links.map((link) => !link.shut && link.from !== link.to)
  links.forEach((link, l) => {
    if (!isOpen[l]) return
    beside[link.from]!.push(l)
    beside[link.to]!.push(l)
  })
  const isLive = pruned({ nodes, links }, isOpen, beside)
  const live = flatMap(links, (_, l) => (isLive[l] ? [l] : []))
  const place = wholeZeros(links.length).fill(-1)
  live.forEach((l, i) => (place[l] = i))
  const growing: Growing = {
    nodes,
    links,
    beside: beside.map((list) => list.filter((l) => isLive[l])),
    place,
    teeOf: wholeZeros(nodes.length).fill(-1),
    seen: wholeZeros(links.length),
    tees: [],
    below: wholeZeros(live.length).fill(-1),
    farNode: wholeZeros(live.length),
    sign: wholeZeros(live.length).fill(1),
    hanging: [],
  }
  const roots: { link: number; node: number }[] = []
  // A pump's end first: most of the water comes in there.
  const pumped = live.filter((l) => links[l]!.pump !== null)
  const others = live.filter((l) => links[l]!.pump === null)
  for (const l of pumped.concat(others)) {
    if (growing.seen[l]) continue
    const { from, to } = links[l]!
    const node = nodes[from]!.headM !== null ? from : to
    if (nodes[node]!.headM === null) continue
    roots.push({ link: place[l]!, node })
    grow(growing, l, node)
  }
  const { tees, below, farNode, sign } = growing
  return {
    live,
    tees,
    below,
    farNode,
    sign,
    roots,
    chords: chordsOf(growing),
    still: stillNodes({ nodes, links }, beside, growing),
  }
}

/** Which links can carry water: neither dead ends nor parted from every known head. */
function pruned(
  { nodes, links }: Graph,
  isOpen: readonly boolean[],
  beside: readonly (readonly number[])[],
): boolean[] {
  const live = isOpen.slice()
  const degree = beside.map((list) => list.length)
  const ends = flatMap(nodes, ({ headM }, n) => (headM === null && degree[n] === 1 ? [n] : []))
  for (const end of ends) {
    for (let node = end; nodes[node]!.headM === null && degree[node] === 1;) {
      const l = beside[node]!.find((at) => live[at])!
      live[l] = false
      degree[node] = 0
      node = links[l]!.from === node ? links[l]!.to : links[l]!.from
      degree[node]!--
    }
  }
  const reached = links.map(() => false)
  const queue = flatMap(nodes, ({ headM }, n) => (headM === null ? [] : [n]))
  for (const node of queue) {
    for (const l of beside[node]!) {
      if (!live[l] || reached[l]) continue
      reached[l] = true
      const other = links[l]!.from === node ? links[l]!.to : links[l]!.from
      if (nodes[other]!.headM === null) queue.push(other)
    }
  }
  return live.map((isLive, l) => isLive && reached[l]!)
}

/** A tree while it grows. */
interface Growing {
  readonly nodes: Graph['nodes']
  readonly links: Graph['links']
  readonly beside: readonly (readonly number[])[]
  readonly place: readonly number[]
  /** Place of each node's tee in the tree; −1: none yet, −2: being grown. */
  readonly teeOf: number[]
  readonly seen: number[]
  readonly tees: TreeTee[]
  readonly below: number[]
  readonly farNode: number[]
  readonly sign: number[]
  /** Links found to close a loop. */
  readonly hanging: number[]
}

/** What a grown link is to the tee above it. */
function grow(growing: Growing, l: number, fromNode: number): number {
  const { nodes, links, beside, place, teeOf, seen, tees, below, farNode, sign, hanging } = growing
  const at = place[l]!
  const { from, to } = links[l]!
  const node = from === fromNode ? to : from
  seen[l] = 1
  sign[at] = from === fromNode ? 1 : -1
  farNode[at] = node
  if (nodes[node]!.headM !== null) return BRANCHES
  teeOf[node] = -2
  const others = beside[node]!.filter((other) => other !== l)
  if (others.length > 2) throw new RangeError(`more than three links meet at ${nodes[node]!.id}`)
  const kinds = others.map((other) => growsInto(growing, other, node))
  // A link that came back to here from further down was met there first.
  const settled = others.map((other, i) => (hanging.includes(other) ? DRIVEN : kinds[i]!))
  const [a = -1, b = -1] = others
  const [aKind = NOTHING, bKind = NOTHING] = settled
  const driven = aKind !== BRANCHES && bKind !== BRANCHES
  const legs = legsOf(growing, node)
  teeOf[node] = tees.length
  below[at] = tees.length
  tees.push({
    node,
    up: at,
    a: a < 0 ? -1 : place[a]!,
    b: b < 0 ? -1 : place[b]!,
    aKind,
    bKind,
    upLeg: legs(l),
    aLeg: a < 0 ? -1 : legs(a),
    bLeg: b < 0 ? -1 : legs(b),
    aSign: a >= 0 && links[a]!.from === node ? 1 : -1,
    bSign: b >= 0 && links[b]!.from === node ? 1 : -1,
    driven,
  })
  return driven ? DRIVEN : BRANCHES
}

/** What a link is to the tee above it, grown unless it leads back to one that is met already. */
function growsInto(growing: Growing, l: number, fromNode: number): number {
  const { links, teeOf, seen, hanging } = growing
  if (hanging.includes(l)) return DRIVEN
  const { from, to } = links[l]!
  if (teeOf[from === fromNode ? to : from] === -1) return grow(growing, l, fromNode)
  hanging.push(l)
  seen[l] = 1
  return DRIVEN
}

/** Which leg of a node's tee a link stands on; in order where the node costs nothing. */
function legsOf({ nodes, beside }: Growing, node: number): (link: number) => number {
  const { tee, id } = nodes[node]!
  if (!tee?.law) return (link) => beside[node]!.indexOf(link)
  return (link) => {
    const leg = tee.legs.indexOf(link)
    if (leg < 0) throw new RangeError(`the tee ${id} has no leg for a link that ends there`)
    return leg
  }
}

function chordsOf({ links, place, teeOf, tees, hanging }: Growing): Chord[] {
  const end = (link: number, node: number): ChordEnd => {
    const tee = teeOf[node]!
    return { tee, onA: tees[tee]!.a === place[link] }
  }
  return hanging.map((l) => {
    const { from, to } = links[l]!
    return { link: place[l]!, from: end(l, from), to: end(l, to) }
  })
}

/** The nodes that stand still, spreading out from those that are known. */
function stillNodes(
  { nodes, links }: Graph,
  beside: readonly (readonly number[])[],
  { teeOf }: Growing,
): { node: number; link: number }[] {
  const known = nodes.map(({ headM }, n) => headM !== null || teeOf[n]! >= 0)
  const still: { node: number; link: number }[] = []
  const queue = flatMap(nodes, (_, n) => (known[n] ? [n] : []))
  for (const node of queue) {
    for (const l of beside[node]!) {
      const other = links[l]!.from === node ? links[l]!.to : links[l]!.from
      if (known[other]) continue
      known[other] = true
      still.push({ node: other, link: l })
      queue.push(other)
    }
  }
  nodes.forEach((_, n) => {
    if (!known[n]) still.push({ node: n, link: -1 })
  })
  return still
}
