import { makeNetwork } from '../network/network.ts'
import { pumpPower, wirePowerW } from '../pump/power.ts'
import type { BasinDesign } from '../basin/design.ts'
import { endFlow, pumpFlow } from '../basin/ends.ts'
import { layOutRunning } from '../basin/loop/settle.ts'
import type { Layout } from '../basin/layout/layout.ts'
import { run } from '../basin/running.ts'

/** A design as it runs, with no more than a search needs. */
export interface Settled {
  readonly layout: Layout
  readonly flow: (lineId: string) => number
  readonly linkFlow: (link: number) => number
  /** Of all pumps together. */
  readonly wirePowerW: number
  /** Of the pump that is asked about. */
  readonly speed: number
}

export function runSettled(design: BasinDesign, pumpIndex = 0): Settled {
  const layout = layOutRunning(design)
  const { running } = run(makeNetwork(layout.problem))
  const linkFlow = (link: number) => running.flowsM3PerS[link]!
  return {
    layout,
    linkFlow,
    flow: (lineId) => {
      const index = layout.lines.findIndex(({ line }) => line.id === lineId)
      return endFlow(layout, running, index)
    },
    wirePowerW: layout.pumps.reduce((sum, { part, placed, speed, lineIndex }) => {
      if (lineIndex === null || placed.stopped) return sum
      const flow = Math.max(0, pumpFlow(layout, lineIndex, running))
      return sum + wirePowerW(pumpPower(part), flow, speed)
    }, 0),
    speed: layout.pumps[pumpIndex]!.speed,
  }
}
