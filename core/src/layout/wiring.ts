import { byId, type PlacedPump } from '../design/index.ts'
import type { NetworkLink, NetworkNode } from '../network/index.ts'
import { memoizeWith } from '../numeric/index.ts'
import type { LineCut } from './cut-line.ts'
import type { LaidLine } from './laid-line.ts'
import type { FixedLines } from './lay-lines.ts'
import { isOneWay } from './segments.ts'

/** A node by what its head is. */
interface WiredNode {
  readonly id: string
  /** The chamber whose water stands there; null: none. */
  readonly chamberId: string | null
  /** The line whose end it is; −1: none. */
  readonly endOfLine: number
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
}

/** The wiring of lines; made anew only when they, or the chamber of a pump, changed. */
export const wiringOf = memoizeWith(
  ({ lines, cuts }: FixedLines, pumps: readonly PlacedPump[]): Wiring => {
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
    return { nodes: nodes.list, links }
  },
  (before, now) =>
    before === now ||
    (before.length === now.length &&
      before.every(({ id, chamberId }, i) => id === now[i]!.id && chamberId === now[i]!.chamberId)),
)

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
  nodes.at({ id: `tee ${teeId}`, chamberId: null, endOfLine: -1 })

function startNode(
  nodes: Nodes,
  { start }: LaidLine['line'],
  pumps: readonly PlacedPump[],
): number {
  if (start.at === 'tee') return teeNode(nodes, start.id)
  const { chamberId } = byId(pumps, start.id, 'placed pump')
  return nodes.at({ id: `chamber ${chamberId}`, chamberId, endOfLine: -1 })
}

function endNode(nodes: Nodes, { id, end }: LaidLine['line'], lineIndex: number): number {
  if (end.at === 'tee') return teeNode(nodes, end.id!)
  return nodes.at({ id: `end ${id}`, chamberId: null, endOfLine: lineIndex })
}

/** The nodes with their heads where the water stands. */
export function nodesAt(
  { nodes }: Wiring,
  lines: readonly LaidLine[],
  chamberLevelM: (chamberId: string) => number,
): NetworkNode[] {
  return nodes.map(({ id, chamberId, endOfLine }) => ({
    id,
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
