import { byId, type PlacedPump } from '../design/index.ts'
import { teeLaw } from '../fitting/index.ts'
import {
  type Graph,
  type NetworkLink,
  type NetworkNode,
  type NetworkTee,
  type Tree,
  treeOf,
} from '../network/index.ts'
import { memoizeWith } from '../numeric/index.ts'
import type { LineCut } from './cut-line.ts'
import { type LaidLine, type PlacedTee, type TeeEnd, teeLegs } from './laid-line.ts'
import type { FixedLines } from './lay-lines.ts'
import { isOneWay } from './segments.ts'

/** A node by what its head is. */
interface WiredNode {
  readonly id: string
  /** The chamber whose water stands there; null: none. */
  readonly chamberId: string | null
  /** The line whose end it is; −1: none. */
  readonly endOfLine: number
  readonly tee: NetworkTee | null
}

/** A link by where it goes and what it is made of. */
interface WiredLink {
  readonly id: string
  readonly from: number
  readonly to: number
  readonly lineIndex: number
  readonly cut: LineCut
  /** The placed pump that it begins at; null: none. */
  readonly pumpId: string | null
}

/** How lines make a network, whatever its levels. */
export interface Wiring {
  readonly nodes: readonly WiredNode[]
  readonly links: readonly WiredLink[]
  /** Sorted for the solver: no level moves it. */
  readonly tree: Tree
}

/** The wiring of lines; made anew only when they, or the chamber of a pump, changed. */
export const wiringOf = memoizeWith(
  ({ lines, cuts, tees }: FixedLines, pumps: readonly PlacedPump[]): Wiring => {
    const nodes = new Nodes()
    const links = lines.flatMap(({ line }, lineIndex) => {
      let from = startNode(nodes, line, pumps)
      return cuts[lineIndex]!.map((cut, n): WiredLink => {
        const to = cut.teeId === null ? endNode(nodes, line, lineIndex) : teeNode(nodes, cut.teeId)
        const id = cuts[lineIndex]!.length === 1 ? line.id : `${line.id}/${n + 1}`
        const pumpId = n === 0 && line.start.at === 'pump' ? line.start.id : null
        const link = { id, from, to, lineIndex, cut, pumpId }
        from = to
        return link
      })
    })
    const withTees = nodes.list.slice()
    for (const placed of tees.values()) {
      if (placed.other === null) continue
      const at = teeNode(nodes, placed.tee.id)
      withTees[at] = { ...withTees[at]!, tee: teeAt(placed, lines, links, at) }
    }
    return { nodes: withTees, links, tree: treeOf(graphOf(withTees, links, lines)) }
  },
  (before, now) =>
    before === now ||
    (before.length === now.length &&
      before.every(({ id, chamberId }, i) => id === now[i]!.id && chamberId === now[i]!.chamberId)),
)

/** Which heads are known and which links are open, wherever the water stands. */
function graphOf(
  nodes: readonly WiredNode[],
  links: readonly WiredLink[],
  lines: FixedLines['lines'],
): Graph {
  const isCap = (lineIndex: number) => lines[lineIndex]!.line.end.at === 'cap'
  const isKnown = ({ chamberId, endOfLine }: WiredNode) =>
    chamberId !== null || (endOfLine >= 0 && !isCap(endOfLine))
  return {
    nodes: nodes.map((node) => ({ id: node.id, tee: node.tee, headM: isKnown(node) ? 0 : null })),
    links: links.map(({ from, to, cut, lineIndex, pumpId }) => ({
      from,
      to,
      shut: cut.shut || (cut.teeId === null && isCap(lineIndex)),
      pump: pumpId === null ? null : {},
    })),
  }
}

/** A tee of one bore, with the links on its legs. */
function teeAt(
  placed: PlacedTee,
  lines: FixedLines['lines'],
  links: readonly WiredLink[],
  node: number,
): NetworkTee {
  const own = lines.findIndex(({ line }) => line.id === placed.lineId)
  const at = (end: TeeEnd) =>
    links.findIndex(({ from, to, lineIndex }) =>
      end === 'other'
        ? lineIndex !== own && (from === node || to === node)
        : lineIndex === own && (end === 'in' ? to : from) === node,
    )
  const [run1, run2, branch] = teeLegs(placed)
  return { law: teeLaw(placed.boreM, placed.boreM), legs: [at(run1), at(run2), at(branch)] }
}

/** The network’s nodes, found by what they are. */
class Nodes {
  readonly list: WiredNode[] = []
  readonly #places = new Map<string, number>()

  /** The place of a node; a new one when there is none of this id. */
  at(node: WiredNode): number {
    const known = this.#places.get(node.id)
    if (known !== undefined) return known
    this.list.push(node)
    this.#places.set(node.id, this.list.length - 1)
    return this.list.length - 1
  }
}

const teeNode = (nodes: Nodes, teeId: string) =>
  nodes.at({ id: `tee ${teeId}`, chamberId: null, endOfLine: -1, tee: null })

function startNode(
  nodes: Nodes,
  { start }: LaidLine['line'],
  pumps: readonly PlacedPump[],
): number {
  if (start.at === 'tee') return teeNode(nodes, start.id)
  const { chamberId } = byId(pumps, start.id, 'placed pump')
  return nodes.at({ id: `chamber ${chamberId}`, chamberId, endOfLine: -1, tee: null })
}

function endNode(nodes: Nodes, { id, end }: LaidLine['line'], lineIndex: number): number {
  if (end.at === 'tee') return teeNode(nodes, end.id!)
  return nodes.at({ id: `end ${id}`, chamberId: null, endOfLine: lineIndex, tee: null })
}

/** The nodes with their heads where the water stands. */
export function nodesAt(
  { nodes }: Wiring,
  lines: readonly LaidLine[],
  chamberLevelM: (chamberId: string) => number,
): NetworkNode[] {
  return nodes.map(({ id, chamberId, endOfLine, tee }) => ({
    id,
    tee,
    headM:
      chamberId !== null
        ? chamberLevelM(chamberId)
        : endOfLine < 0
          ? null
          : lines[endOfLine]!.endHeadM,
  }))
}

/** The links with their pumps as they run. */
export function linksOf(
  { links }: Wiring,
  lines: readonly LaidLine[],
  pumpOf: (placedPumpId: string) => NonNullable<NetworkLink['pump']>,
): NetworkLink[] {
  return links.map(({ id, from, to, lineIndex, cut, pumpId }) => {
    const laid = lines[lineIndex]!
    return {
      id,
      from,
      to,
      line: cut.line,
      tables: cut.tables,
      pump: pumpId === null ? null : pumpOf(pumpId),
      oneWay: isOneWay(laid, cut),
      shut: cut.shut || (cut.teeId === null && laid.end === 'cap'),
    }
  })
}
