import { type BasinDesign, byId, partOf, type PlacedPump, runningSpeed } from '../design/index.ts'
import { memoizeWith } from '../numeric/index.ts'
import { type Water, waterAt } from '../fluid/index.ts'
import type { LinkPump, NetworkProblem } from '../network/index.ts'
import { pumpCurve, type PumpCurve, type PumpPart } from '../pump/index.ts'
import type { LineCut } from './cut-line.ts'
import { type LaidLine, teeLegs, type TeeLegs, type Tees } from './laid-line.ts'
import { layLines } from './lay-lines.ts'
import { type PathPart, type Ways, waysOf } from './paths.ts'
import { linksOf, nodesAt, type Wiring, wiringOf } from './wiring.ts'

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
export interface Layout extends Ways {
  readonly water: Water
  readonly pumps: readonly LaidPump[]
  readonly lines: readonly LaidLine[]
  readonly tees: Tees
  /** Of each tee in which two lines meet: what stands on its legs. */
  readonly teeEnds: ReadonlyMap<string, MetTee>
  /** Of each line: what its stretches cost. */
  readonly cuts: readonly (readonly LineCut[])[]
  readonly problem: NetworkProblem
}

/** A design's return side as lines in space, links and nodes. */
export function layOut(design: BasinDesign): Layout {
  const water = waterAt(design.water)
  const pumps = layPumps(design)
  const { fixed, lines } = layLines(design)
  const { tees, cuts } = fixed
  const { segments, paths } = waysOf(fixed)
  const wiring = wiringOf(fixed, design.returnSide.pumps)
  const { chambers } = design.sump
  const nodes = nodesAt(wiring, lines, (id) => byId(chambers, id, 'chamber').levelM)
  const links = linksOf(wiring, lines, (id) => linkPump(pumps, id))
  return {
    water,
    pumps,
    lines,
    tees,
    teeEnds: teeEndsOf(tees, wiring),
    cuts,
    problem: { nodes, links, water, tree: wiring.tree },
    segments,
    paths,
  }
}

/** A tee in which two lines meet. */
export interface MetTee {
  /** Its place among the network's nodes. */
  readonly node: number
  readonly ends: TeeLegs
}

const teeEndsOf = memoizeWith((tees: Tees, { nodes }: Wiring): ReadonlyMap<string, MetTee> => {
  const met = new Map<string, MetTee>()
  for (const [id, placed] of tees) {
    if (!placed.other) continue
    const node = nodes.findIndex((wired) => wired.id === `tee ${id}`)
    met.set(id, { node, ends: teeLegs(placed) })
  }
  return met
}, Object.is)

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

/** The way of the water from a pump to the end of a line, pump first. */
export function pathTo({ paths }: Layout, lineIndex: number): readonly PathPart[] {
  return paths[lineIndex]!
}

/** The pump that a line's water comes from. */
export function pumpOf(layout: Layout, lineIndex: number): LaidPump {
  const first = pathTo(layout, lineIndex)[0]!
  const { start } = layout.lines[first.lineIndex]!.line
  return layout.pumps.find(({ placed }) => placed.id === start.id)!
}
