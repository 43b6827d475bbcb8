import { type BasinDesign, byId, partOf, type PlacedPump, runningSpeed } from '../design/index.ts'
import { type Water, waterAt } from '../fluid/index.ts'
import type { LinkPump, NetworkLink, NetworkProblem } from '../network/index.ts'
import { pumpCurve, type PumpCurve, type PumpPart } from '../pump/index.ts'
import type { LineCut } from './cut-line.ts'
import type { LaidLine, Tees } from './laid-line.ts'
import { layLines } from './lay-lines.ts'
import { lineLinks, Nodes, type Segment } from './segments.ts'

/** A placed pump with its part and its curve. */
export interface LaidPump {
  readonly placed: PlacedPump
  readonly part: PumpPart
  readonly curve: PumpCurve
  /** As it runs: 1 for a pump of one speed. */
  readonly speed: number
  /** Water it draws from, above the room's floor. */
  readonly sourceLevelM: number
  /** The line it feeds; null: none. */
  readonly lineIndex: number | null
}

/** A design made ready to be solved: every piece placed, its losses known, the network stated. */
export interface Layout {
  readonly water: Water
  readonly pumps: readonly LaidPump[]
  readonly lines: readonly LaidLine[]
  readonly tees: Tees
  /** Of each line: what its stretches cost. */
  readonly cuts: readonly (readonly LineCut[])[]
  readonly problem: NetworkProblem
  /** Of each line, in the order the water passes. */
  readonly segments: readonly (readonly Segment[])[]
  /** Of each line: the way of its water from a pump, pump first. */
  readonly paths: readonly (readonly PathPart[])[]
}

export function layOut(design: BasinDesign): Layout {
  const water = waterAt(design.water)
  const pumps = layPumps(design)
  const { lines, tees, cuts } = layLines(design)
  const nodes = new Nodes()
  const links: NetworkLink[] = []
  const segments = lines.map((laid, lineIndex) => {
    const own = lineLinks(design, laid, {
      cuts: cuts[lineIndex]!,
      nodes,
      pumpOf: (id) => linkPump(pumps, id),
    })
    const first = links.length
    links.push(...own)
    return cuts[lineIndex]!.map(({ firstPiece, endPiece }, i): Segment => ({
      lineIndex,
      link: first + i,
      firstPiece,
      endPiece,
    }))
  })
  const problem = { nodes: nodes.list, links, water }
  const paths = lines.map((_, i) => findPath({ lines, tees, segments }, i))
  return { water, pumps, lines, tees, cuts, problem, segments, paths }
}

function layPumps(design: BasinDesign): LaidPump[] {
  const { pumps, lines } = design.returnSide
  const { chambers } = design.sump
  return pumps.map((placed) => {
    const part = partOf(design, placed.pumpId)
    const lineIndex = lines.findIndex(({ start }) => start.at === 'pump' && start.id === placed.id)
    return {
      placed,
      part,
      curve: pumpCurve(part),
      speed: runningSpeed(part, placed.speed),
      sourceLevelM: byId(chambers, placed.chamberId, 'chamber').levelM,
      lineIndex: lineIndex < 0 ? null : lineIndex,
    }
  })
}

function linkPump(pumps: readonly LaidPump[], id: string): LinkPump {
  const found = pumps.find(({ placed }) => placed.id === id)!
  return {
    curve: found.curve,
    outletBoreM: found.part.outletBoreM,
    speed: found.speed,
    stopped: found.placed.stopped,
  }
}

/** One line of the way back from a line's end: its stretches up to the end or to the tee it feeds. */
export interface PathPart {
  readonly lineIndex: number
  readonly segments: readonly Segment[]
}

/** The way of the water from a pump to the end of a line, pump first. */
export function pathTo({ paths }: Layout, lineIndex: number): readonly PathPart[] {
  return paths[lineIndex]!
}

function findPath(
  layout: Pick<Layout, 'lines' | 'tees' | 'segments'>,
  lineIndex: number,
): PathPart[] {
  const backwards: PathPart[] = []
  let index = lineIndex
  let segments = layout.segments[index]!
  for (;;) {
    backwards.push({ lineIndex: index, segments })
    const { start } = layout.lines[index]!.line
    if (start.at === 'pump') return backwards.reverse()
    const tee = layout.tees.get(start.id)!
    index = layout.lines.findIndex(({ line }) => line.id === tee.lineId)
    segments = upToTee(layout, index, start.id)
  }
}

function upToTee(
  layout: Pick<Layout, 'lines' | 'segments'>,
  lineIndex: number,
  teeId: string,
): readonly Segment[] {
  const { placed } = layout.lines[lineIndex]!
  const at = placed.findIndex(({ piece }) => piece.id === teeId)
  return layout.segments[lineIndex]!.filter((segment) => segment.endPiece <= at)
}

/** The pump that a line's water comes from. */
export function pumpOf(layout: Layout, lineIndex: number): LaidPump {
  const first = pathTo(layout, lineIndex)[0]!
  const { start } = layout.lines[first.lineIndex]!.line
  return layout.pumps.find(({ placed }) => placed.id === start.id)!
}
