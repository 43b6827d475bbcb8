import { type BasinDesign, byId } from '../design/index.ts'
import type { LaidLine } from './laid-line.ts'
import { atHead, endOf } from './lay-lines.ts'
import type { Layout } from './layout.ts'
import { isOneWay } from './segments.ts'

/**
 * The same layout with the water at a design's levels, which its network's known heads were moved
 * to already; itself where no line and no pump feels them.
 */
export function relevel(layout: Layout, design: BasinDesign, nodeHead: number[]): Layout {
  const lines = layout.lines.map((laid): LaidLine => {
    const now = endOf(design, laid.line, laid.mouth)
    return now.end === laid.end && now.endHeadM === laid.endHeadM ? laid : atHead(laid, now)
  })
  const pumps = layout.pumps.map((pump) => {
    const { levelM } = byId(design.sump.chambers, pump.placed.chamberId, 'chamber')
    return levelM === pump.sourceLevelM ? pump : { ...pump, sourceLevelM: levelM }
  })
  const moved =
    lines.some((laid, i) => laid !== layout.lines[i]) ||
    pumps.some((pump, i) => pump !== layout.pumps[i])
  if (!moved) return layout
  const { water, tees, teeEnds, cuts, segments, paths } = layout
  const problem = problemAt(layout, lines, nodeHead)
  return { water, pumps, lines, tees, teeEnds, cuts, problem, segments, paths }
}

/** The problem as its network stands after its levels were moved in place. */
function problemAt(
  { problem, segments, cuts }: Layout,
  lines: readonly LaidLine[],
  nodeHead: number[],
): Layout['problem'] {
  let { links } = problem
  lines.forEach((laid, i) => {
    const last = segments[i]!.at(-1)!
    const oneWay = isOneWay(laid, cuts[i]!.at(-1)!)
    if (oneWay !== links[last.link]!.oneWay) {
      links = links.map((link, l) => (l === last.link ? { ...link, oneWay } : link))
    }
  })
  const nodes = problem.nodes.map((node, n) =>
    node.headM === null ? node : { id: node.id, headM: nodeHead[n]!, tee: null },
  )
  return { nodes, links, water: problem.water, tree: problem.tree }
}
