import { type BasinDesign, byId } from '../design/index.ts'
import type { LinkPump, NetworkLink, NetworkNode } from '../network/index.ts'
import type { LineCut } from './cut-line.ts'
import type { LaidLine } from './laid-line.ts'

/** A stretch of a line between two meetings of water: one link of the network. */
export interface Segment {
  readonly lineIndex: number
  /** Place among the network's links. */
  readonly link: number
  /** Pieces from this place up to, not with, the other. */
  readonly firstPiece: number
  readonly endPiece: number
}

/** The network's nodes, found by what they are. */
export class Nodes {
  readonly list: NetworkNode[] = []
  readonly #places = new Map<string, number>()

  /** The place of a node; a new one when there is none of this id. */
  at(id: string, headM: number | null): number {
    const known = this.#places.get(id)
    if (known !== undefined) return known
    this.list.push({ id, headM })
    this.#places.set(id, this.list.length - 1)
    return this.list.length - 1
  }
}

/** The links of one line, from its start to its end. */
export function lineLinks(
  design: BasinDesign,
  laid: LaidLine,
  {
    cuts,
    nodes,
    pumpOf,
  }: {
    readonly cuts: readonly LineCut[]
    readonly nodes: Nodes
    readonly pumpOf: (placedPumpId: string) => LinkPump
  },
): NetworkLink[] {
  const { line } = laid
  let from = startNode(design, laid, nodes)
  return cuts.map((cut, n) => {
    const isLast = cut.teeId === null
    const to = isLast ? endNode(laid, nodes) : nodes.at(`tee ${cut.teeId}`, null)
    const link: NetworkLink = {
      id: cuts.length === 1 ? line.id : `${line.id}/${n + 1}`,
      from,
      to,
      line: cut.line,
      tables: cut.tables,
      pump: n === 0 && line.start.at === 'pump' ? pumpOf(line.start.id) : null,
      oneWay: isOneWay(laid, cut),
      shut: cut.shut || (isLast && laid.end === 'cap'),
    }
    from = to
    return link
  })
}

/** Does nothing come back through a stretch: past a check valve, or from an end in air? */
export function isOneWay({ end }: LaidLine, { hasCheck, teeId }: LineCut): boolean {
  return hasCheck || (teeId === null && (end === 'above-water' || end === 'outside-tank'))
}

function startNode(design: BasinDesign, { line }: LaidLine, nodes: Nodes): number {
  if (line.start.at === 'tee') return nodes.at(`tee ${line.start.id}`, null)
  const { pumps } = design.returnSide
  const { chamberId } = byId(pumps, line.start.id, 'placed pump')
  return nodes.at(`chamber ${chamberId}`, byId(design.sump.chambers, chamberId, 'chamber').levelM)
}

function endNode({ line, endHeadM }: LaidLine, nodes: Nodes): number {
  if (line.end.at === 'tee') return nodes.at(`tee ${line.end.id}`, null)
  return nodes.at(`end ${line.id}`, endHeadM)
}
