import { applyEdits, type Edit } from '../design/index.ts'
import {
  endFlow,
  feelsLevels,
  type LaidPump,
  layOut,
  type Layout,
  tankFlow,
} from '../layout/index.ts'
import { findSteadyState, type SteadyState } from '../loop/index.ts'
import { makeNetwork, run, type Running, withPumpAt } from '../network/index.ts'
import { sentence, type Sentence } from '../quantity/index.ts'
import type { Fix } from './finding.ts'

/** Whose flow a fix is judged by: a tank's, or a line's at its end. */
export type Of = { readonly tankId: string } | { readonly lineId: string }

/** Levels of a try-out rest sooner than those of the design itself, m: no flow it prints feels more. */
const AT_REST_M = 1e-6

/** A steady design with these edits made. */
export function steadyWith(near: SteadyState, edits: readonly Edit[]): SteadyState {
  return findSteadyState(applyEdits(near.design, edits), { near, atRestM: AT_REST_M })
}

/** The flow a steady design would have with these edits made; nil where it would have none. */
export function flowWith(near: SteadyState, edits: readonly Edit[], of: Of): number {
  const edited = applyEdits(near.design, edits)
  const layout = layOut(edited)
  if (!feelsLevels(layout, edited)) {
    return flowOf(layout, run(makeNetwork(layout.problem)).running, of)
  }
  const steady = findSteadyState(edited, { near, layout, atRestM: AT_REST_M })
  return flowOf(steady.layout, steady.ran.running, of)
}

function flowOf(layout: Layout, running: Running, of: Of): number {
  if ('tankId' in of) return tankFlow(layout, running, of.tankId)
  const index = layout.lines.findIndex(({ line }) => line.id === of.lineId)
  return index < 0 ? 0 : endFlow(layout, running, index)
}

/**
 * The flow at any speed of one pump, all else as it is: the network is made once, and each search
 * begins where the last one ended.
 */
export function flowAtSpeeds(layout: Layout, pump: LaidPump, of: Of): (speed: number) => number {
  if (pump.lineIndex === null) return () => 0
  const link = layout.segments[pump.lineIndex]![0]!.link
  const dial = { ...layout.problem.links[link]!.pump!, stopped: false, speed: 1 }
  const network = makeNetwork(withPumpAt(layout.problem, link, dial))
  let from: Float64Array | undefined
  return (speed) => {
    dial.speed = speed
    const { running } = run(network, from)
    from = running.flowsM3PerS
    return flowOf(layout, running, of)
  }
}

/** A fix whose worth is the flow it brings, as the core solves it. */
export function fixForFlow(
  near: SteadyState,
  label: Sentence,
  edits: readonly Edit[],
  of: Of,
): Fix {
  return fixOfFlow(label, edits, flowWith(near, edits, of))
}

/** The same where the flow is known already. */
export function fixOfFlow(label: Sentence, edits: readonly Edit[], flowM3PerS: number): Fix {
  return { label, brings: sentence('Gives {flow}.', { flow: ['flow', flowM3PerS] }), edits }
}
