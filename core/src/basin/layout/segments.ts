import { makeLine } from '../../network/line.ts'
import type { LinkPump, NetworkLink, NetworkNode } from '../../network/problem.ts'
import type { FittingLoss, FrictionLoss } from '../../run/losses.ts'
import type { Pchip } from '../../numeric/pchip.ts'
import { byId, type BasinDesign } from '../design.ts'
import type { LaidLine, Tees } from './lay-lines.ts'

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

/**
 * Cuts a line at its tees. A tee that lets a line out belongs to the stretch after it, one that
 * takes a line in to the stretch before it: that is where its K sits (hydraulics reference, §5).
 */
export function cutAtTees({ placed }: LaidLine, tees: Tees): [number, number, string | null][] {
  const cuts: [number, number, string | null][] = []
  let first = 0
  placed.forEach(({ piece }, at) => {
    const other = piece.kind === 'tee' ? tees.get(piece.id)?.other : null
    if (!other) return
    const end = other.joins ? at + 1 : at
    cuts.push([first, end, piece.id])
    first = end
  })
  cuts.push([first, placed.length, null])
  return cuts
}

/** The links of one line, from its start to its end. */
export function lineLinks(
  design: BasinDesign,
  laid: LaidLine,
  tees: Tees,
  nodes: Nodes,
  pumpOf: (placedPumpId: string) => LinkPump,
): { link: NetworkLink; firstPiece: number; endPiece: number }[] {
  const { line } = laid
  const cuts = cutAtTees(laid, tees)
  let from = startNode(design, laid, nodes)
  return cuts.map(([firstPiece, endPiece, teeId], n) => {
    const isFirst = n === 0
    const isLast = teeId === null
    const to = isLast ? endNode(laid, nodes) : nodes.at(`tee ${teeId}`, null)
    const ends = {
      start: isFirst ? laid.startLoss : null,
      end: isLast ? laid.endLoss : null,
    }
    const link: NetworkLink = {
      id: cuts.length === 1 ? line.id : `${line.id}/${n + 1}`,
      from,
      to,
      ...lossesOf(laid, firstPiece, endPiece, ends),
      pump: isFirst && line.start.at === 'pump' ? pumpOf(line.start.id) : null,
      oneWay: hasCheck(laid, firstPiece, endPiece) || (isLast && endsInAir(laid)),
      shut: isShut(laid, firstPiece, endPiece) || (isLast && laid.end === 'cap'),
    }
    from = to
    return { link, firstPiece, endPiece }
  })
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

function lossesOf(
  { losses }: LaidLine,
  first: number,
  end: number,
  ends: { start: FittingLoss | null; end: FittingLoss | null },
): Pick<NetworkLink, 'line' | 'tables'> {
  const frictions: FrictionLoss[] = []
  const fittings: FittingLoss[] = ends.start ? [ends.start] : []
  const tables: Pchip[] = []
  for (let i = first; i < end; i++) {
    const { friction, fittings: own, table } = losses[i]!
    if (friction) frictions.push(friction)
    fittings.push(...own)
    if (table) tables.push(table)
  }
  if (ends.end) fittings.push(ends.end)
  return { line: makeLine(frictions, fittings), tables }
}

export function endsInAir({ end }: LaidLine): boolean {
  return end === 'above-water' || end === 'outside-tank'
}

export function hasCheck({ placed }: LaidLine, first: number, end: number): boolean {
  for (let i = first; i < end; i++) if (placed[i]!.piece.kind === 'check-valve') return true
  return false
}

function isShut({ losses }: LaidLine, first: number, end: number): boolean {
  for (let i = first; i < end; i++) if (losses[i]!.shut) return true
  return false
}
