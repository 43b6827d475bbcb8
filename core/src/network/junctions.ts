import { type Envelope, flatMap, makeEnvelope, wholeZeros } from '../numeric/index.ts'
import type { NetworkProblem } from './problem.ts'

/** Which links take part, and where each junction stands in the matrix. */
export interface Junctions {
  /** Links that can carry water: open, and joined to a known head. */
  readonly live: readonly number[]
  /** Row of each node in the matrix; −1 for a known head, −2 for one that is cut off. */
  readonly row: number[]
  readonly envelope: Envelope
}

/** The row of a node whose head is given. */
export const KNOWN = -1
const CUT_OFF = -2

/**
 * Orders the junctions breadth first from the known heads, last found first, so that the rows
 * stay short (Cuthill & McKee 1969). A junction that no open link joins to a known head is cut
 * off, and so are its links: nothing flows there.
 */
export function orderJunctions({ nodes, links }: NetworkProblem): Junctions {
  const open = flatMap(links, (link, l) => (link.shut || link.from === link.to ? [] : [l]))
  const beside: number[][] = nodes.map(() => [])
  for (const l of open) {
    beside[links[l]!.from]!.push(links[l]!.to)
    beside[links[l]!.to]!.push(links[l]!.from)
  }
  const row = wholeZeros(nodes.length)
  for (let n = 0; n < row.length; n++) row[n] = nodes[n]!.headM === null ? CUT_OFF : KNOWN
  const found: number[] = []
  const queue = flatMap(nodes, (node, n) => (node.headM === null ? [] : [n]))
  for (let at = 0; at < queue.length; at++) {
    for (const next of beside[queue[at]!]!) {
      if (row[next] !== CUT_OFF) continue
      row[next] = 0
      found.push(next)
      queue.push(next)
    }
  }
  found.reverse().forEach((node, place) => {
    row[node] = place
  })
  const live = open.filter((l) => row[links[l]!.from] !== CUT_OFF)
  const pairs = live
    .map((l) => [row[links[l]!.from]!, row[links[l]!.to]!] as const)
    .filter(([i, j]) => i >= 0 && j >= 0)
  return { live, row, envelope: makeEnvelope(found.length, pairs) }
}
