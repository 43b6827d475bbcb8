import type { BasinDesign } from '../design/index.ts'
import { DERATED_SHARE, rulesOfThumb, type SolvedLine } from '../figures/index.ts'
import { tankFlow } from '../layout/index.ts'
import { steadyState } from '../loop/index.ts'
import { makeNetwork, solveWithLosses, withPumpAt } from '../network/index.ts'
import { brent } from '../numeric/index.ts'
import { type PumpCurve, pumpHeadM } from '../pump/index.ts'

/** What a pump must be rated for a wanted flow, by the real method and by two rules of thumb. */
export interface RatedNeed {
  /** Through the pump when the tanks get what they want. */
  readonly flowM3PerS: number
  /** What the plumbing asks there. */
  readonly headM: number
  /** Flow with no head against it of a pump whose curve has the present one's shape and just passes there. */
  readonly ratedM3PerS: number
  /** Wanted flow over the fixed share that keepers quote. */
  readonly deratedM3PerS: number
  readonly deratedOff: number
  /** Feet counted for elbows and level run, read off the same shape of curve. */
  readonly countedM3PerS: number
  readonly countedOff: number
}

/** How many times a pump is scaled at most. */
const MOST_TIMES = 40

/**
 * The least scale of the present pump's curve (flow and head alike, as a larger pump of its family)
 * that brings a flow into all tanks; null where none does.
 */
export function ratedNeed(
  design: BasinDesign,
  line: SolvedLine,
  wantedM3PerS: number,
): RatedNeed | null {
  const layout = steadyState(design).layout
  const pump = layout.pumps.find(({ placed }) => placed.id === line.pump.placedId)
  if (!pump || pump.lineIndex === null || wantedM3PerS <= 0) return null
  const link = layout.segments[pump.lineIndex]![0]!.link
  const own = layout.problem.links[link]!.pump!
  const at = (times: number) => {
    const larger = { ...own, curve: scaled(pump.curve, times), speed: 1, stopped: false }
    const { flows } = solveWithLosses(makeNetwork(withPumpAt(layout.problem, link, larger)))
    return { into: tankFlow(layout, flows), through: flows.flowsM3PerS[link]! }
  }
  const spare = (times: number) => at(times).into - wantedM3PerS
  if (spare(MOST_TIMES) < 0) return null
  const found = brent(spare, 1 / MOST_TIMES, MOST_TIMES, { tolerance: 1e-6 })
  if (!found.ok) return null
  const times = found.value
  const flowM3PerS = at(times).through
  const headM = pumpHeadM(scaled(pump.curve, times), flowM3PerS, 1)
  const ratedM3PerS = times * pump.curve.freeFlowM3PerS
  const counted = countedTimes(
    pump.curve,
    flowM3PerS,
    rulesOfThumb(layout, line, null).countedHeadM.answer,
  )
  const deratedM3PerS = flowM3PerS / DERATED_SHARE
  const countedM3PerS = counted * pump.curve.freeFlowM3PerS
  return {
    flowM3PerS,
    headM,
    ratedM3PerS,
    deratedM3PerS,
    deratedOff: deratedM3PerS / ratedM3PerS - 1,
    countedM3PerS,
    countedOff: countedM3PerS / ratedM3PerS - 1,
  }
}

/** A larger pump of the same family: flow and head grow alike. */
function scaled(curve: PumpCurve, times: number): PumpCurve {
  return {
    ...curve,
    shutOffHeadM: times * curve.shutOffHeadM,
    freeFlowM3PerS: times * curve.freeFlowM3PerS,
    knownToM3PerS: times * curve.knownToM3PerS,
    headAtFullSpeedM: (flow) => times * curve.headAtFullSpeedM(flow / times),
    slopeAtFullSpeed: (flow) => curve.slopeAtFullSpeed(flow / times),
  }
}

/** The scale at which the curve passes through a flow and a head. */
function countedTimes(curve: PumpCurve, flowM3PerS: number, headM: number): number {
  const spare = (times: number) => scaled(curve, times).headAtFullSpeedM(flowM3PerS) - headM
  const found = brent(spare, 1 / MOST_TIMES, MOST_TIMES, { tolerance: 1e-6 })
  return found.ok ? found.value : NaN
}
