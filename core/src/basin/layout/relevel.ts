import type { BasinDesign } from '../design.ts'
import { byId } from '../design.ts'
import { endOf, type LaidLine } from './lay-lines.ts'
import type { Layout } from './layout.ts'
import { hasCheck, endsInAir } from './segments.ts'

/** The same layout with the water at a design's levels; itself where no line and no pump feels them. */
export function relevel(layout: Layout, design: BasinDesign): Layout {
  const lines = layout.lines.map((laid): LaidLine => {
    const now = endOf(design, laid.line, laid.mouth)
    return now.end === laid.end && now.endHeadM === laid.endHeadM ? laid : { ...laid, ...now }
  })
  const pumps = layout.pumps.map((pump) => {
    const { levelM } = byId(design.sump.chambers, pump.placed.chamberId, 'chamber')
    return levelM === pump.sourceLevelM ? pump : { ...pump, sourceLevelM: levelM }
  })
  const moved =
    lines.some((laid, i) => laid !== layout.lines[i]) ||
    pumps.some((pump, i) => pump !== layout.pumps[i])
  return moved
    ? { ...layout, lines, pumps, problem: problemAt({ ...layout, lines, pumps }) }
    : layout
}

function problemAt({ lines, pumps, problem, segments }: Layout): Layout['problem'] {
  const heads = new Map<string, number | null>([
    ...lines.map(({ line, endHeadM }) => [`end ${line.id}`, endHeadM] as const),
    ...pumps.map(
      ({ placed, sourceLevelM }) => [`chamber ${placed.chamberId}`, sourceLevelM] as const,
    ),
  ])
  let { links } = problem
  lines.forEach((laid, i) => {
    const last = segments[i]!.at(-1)!
    const oneWay = hasCheck(laid, last.firstPiece, last.endPiece) || endsInAir(laid)
    if (oneWay !== links[last.link]!.oneWay) {
      links = links.map((link, l) => (l === last.link ? { ...link, oneWay } : link))
    }
  })
  return {
    ...problem,
    nodes: problem.nodes.map((node) => ({ ...node, headM: heads.get(node.id) ?? node.headM })),
    links,
  }
}

/** Can any level that follows from the flow move what a return side does? Not where all ends stay in air and pumps draw from what the keeper fills. */
export function feelsLevels(
  { lines, pumps }: Layout,
  { tanks, sump, returnSide }: BasinDesign,
): boolean {
  const { box } = sump
  const kept = returnSide.pumps[0]!.chamberId
  if (box && pumps.some(({ placed }) => placed.chamberId !== kept)) return true
  return lines.some(({ line: { end }, mouth }) => {
    if (end.at === 'chamber') {
      return box !== null && end.id !== kept && mouth.zM < box.floorHeightM + box.heightM
    }
    if (end.at !== 'tank') return false
    const tank = byId(tanks, end.id, 'tank')
    return tank.overflow !== null && mouth.zM < tank.floorHeightM + tank.rimM
  })
}
