import { endFlow, type LaidPump, type Layout, tankFlow } from '../../layout/index.ts'
import { type Flows, flowThrough, makeNetwork, withPumpAt } from '../../network/index.ts'

/** Where a flow is asked for: what all lines bring into a tank, or what leaves at a line's end. */
export type FlowPlace = { readonly tankId: string } | { readonly lineId: string }

/** The flow there; zero where there is no such line. */
export function flowThere(layout: Layout, flows: Flows, place: FlowPlace): number {
  if ('tankId' in place) return tankFlow(layout, flows, place.tankId)
  const index = layout.lines.findIndex(({ line }) => line.id === place.lineId)
  return index < 0 ? 0 : endFlow(layout, flows, index)
}

/**
 * The flow at any speed of one pump, all else as it is: the network is made once, and each search
 * begins where the last one ended.
 */
export function flowAtSpeeds(
  layout: Layout,
  pump: LaidPump,
  place: FlowPlace,
): (speed: number) => number {
  if (pump.lineIndex === null) return () => 0
  const link = layout.segments[pump.lineIndex]![0]!.link
  const dial = { ...layout.problem.links[link]!.pump!, stopped: false, speed: 1 }
  const network = makeNetwork(withPumpAt(layout.problem, link, dial))
  let from: number[] | undefined
  return (speed) => {
    dial.speed = speed
    const flowing = flowThrough(network, from)
    from = flowing.flowsM3PerS
    return flowThere(layout, flowing, place)
  }
}
