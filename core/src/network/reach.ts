import { noPlaces, wholeZeros } from '../numeric/index.ts'
import type { Graph } from './graph.ts'

/** Which open links end at each node, in the order of their places. An end is twice its link's place, and one more where the link ends there. */
export class OpenEnds {
  /** The first end at each node, and the next after each end at its node; −1: none. */
  readonly first: number[]
  readonly next: number[]

  constructor(nodes: Graph['nodes'], links: Graph['links']) {
    this.first = noPlaces(nodes.length)
    this.next = wholeZeros(2 * links.length)
    for (let l = links.length - 1; l >= 0; l--) {
      const { from, to, shut } = links[l]!
      if (shut || from === to) continue
      this.next[2 * l] = this.first[from]!
      this.first[from] = 2 * l
      this.next[2 * l + 1] = this.first[to]!
      this.first[to] = 2 * l + 1
    }
  }
}

/** The node at the other end of the link that an end is of. */
function across(links: Graph['links'], end: number): number {
  const { from, to } = links[end >> 1]!
  return (end & 1) === 0 ? to : from
}

/** Places of the links that can carry water: neither dead ends nor parted from every known head. */
export function liveOf({ nodes, links }: Graph, ends: OpenEnds): number[] {
  const { first, next } = ends
  const ended = wholeZeros(links.length)
  endDead({ nodes, links }, ends, ended)
  const reached = wholeZeros(links.length)
  const queue: number[] = []
  for (let n = 0; n < nodes.length; n++) if (nodes[n]!.headM !== null) queue.push(n)
  for (let i = 0; i < queue.length; i++) {
    for (let end = first[queue[i]!]!; end >= 0; end = next[end]!) {
      const l = end >> 1
      if (ended[l]! + reached[l]! > 0) continue
      reached[l] = 1
      const other = across(links, end)
      if (nodes[other]!.headM === null) queue.push(other)
    }
  }
  const live: number[] = []
  for (let l = 0; l < links.length; l++) if (reached[l] === 1) live.push(l)
  return live
}

/** Marks the links that lead to nothing, from each dead end back to where others meet. */
function endDead({ nodes, links }: Graph, { first, next }: OpenEnds, ended: number[]): void {
  const count = wholeZeros(nodes.length)
  for (let n = 0; n < nodes.length; n++) {
    for (let end = first[n]!; end >= 0; end = next[end]!) count[n]!++
  }
  for (let n = 0; n < nodes.length; n++) {
    for (let node = n; nodes[node]!.headM === null && count[node] === 1;) {
      let end = first[node]!
      while (ended[end >> 1] === 1) end = next[end]!
      ended[end >> 1] = 1
      count[node] = 0
      node = across(links, end)
      count[node]!--
    }
  }
}

/** The nodes that stand still, spreading out from those that are known. */
export function stillNodes(
  { nodes, links }: Graph,
  { first, next }: OpenEnds,
  teeOf: readonly number[],
): { node: number; link: number }[] {
  const known = wholeZeros(nodes.length)
  const still: { node: number; link: number }[] = []
  const queue: number[] = []
  for (let n = 0; n < nodes.length; n++) {
    if (nodes[n]!.headM === null && teeOf[n]! < 0) continue
    known[n] = 1
    queue.push(n)
  }
  if (queue.length === nodes.length) return still
  for (let i = 0; i < queue.length; i++) {
    for (let end = first[queue[i]!]!; end >= 0; end = next[end]!) {
      const other = across(links, end)
      if (known[other] === 1) continue
      known[other] = 1
      still.push({ node: other, link: end >> 1 })
      queue.push(other)
    }
  }
  for (let n = 0; n < nodes.length; n++) if (known[n] === 0) still.push({ node: n, link: -1 })
  return still
}
