import type { BasinDesign } from '../design/index.ts'
import { endFlow, type Layout, pumpFlow } from '../layout/index.ts'
import { steadyState } from '../loop/index.ts'
import { pumpPower, wirePowerW } from '../pump/index.ts'

/** A design as it runs, with no more than a search needs. */
export interface SizedFlows {
  readonly layout: Layout
  readonly flow: (lineId: string) => number
  readonly linkFlow: (link: number) => number
  /** Of all pumps together. */
  readonly wirePowerW: number
  /** Of the pump that is asked about. */
  readonly speed: number
}

/** Flows and power of a design at rest, by line and by pump. */
export function sizedFlows(design: BasinDesign, pumpIndex = 0): SizedFlows {
  const { layout, solution } = steadyState(design)
  const { flows } = solution
  const linkFlow = (link: number) => flows.flowsM3PerS[link]!
  return {
    layout,
    linkFlow,
    flow: (lineId) => {
      const index = layout.lines.findIndex(({ line }) => line.id === lineId)
      return endFlow(layout, flows, index)
    },
    wirePowerW: layout.pumps.reduce((sum, { part, placed, speed, lineIndex }) => {
      if (lineIndex === null || placed.stopped) return sum
      const flow = Math.max(0, pumpFlow(layout, lineIndex, flows))
      return sum + wirePowerW(pumpPower(part), flow, speed)
    }, 0),
    speed: layout.pumps[pumpIndex]!.speed,
  }
}
