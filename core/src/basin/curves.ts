import type { BasinDesign } from '../design/index.ts'
import { type LaidPump, type Layout, pumpOf } from '../layout/index.ts'
import { steadyState } from '../loop/index.ts'
import { Bands, type LinkPump, makeNetwork, solveWithLosses, withPumpAt } from '../network/index.ts'
import { type PumpCurve, pumpHeadM } from '../pump/index.ts'

/** One point of a curve to draw. */
export interface HeadPoint {
  readonly flowM3PerS: number
  readonly headM: number
}

/** A point of the system's curve, with how well its head is known. */
export interface SystemPoint extends HeadPoint {
  readonly bandM: number
}

/** The pump against the system, sampled for a chart. */
export interface DutyCurves {
  readonly pump: readonly HeadPoint[]
  /** The pump at full speed, when it runs slower. */
  readonly fullSpeed: readonly HeadPoint[] | null
  /** The maker's own points, scaled to the speed in use. */
  readonly printed: readonly HeadPoint[]
  readonly system: readonly HeadPoint[]
  /** The system with its losses at the low and at the high end of their band. */
  readonly systemLow: readonly HeadPoint[]
  readonly systemHigh: readonly HeadPoint[]
}

/** The curves of the pump that a line's water comes from. */
export function dutyCurves(design: BasinDesign, lineId: string, samples = 48): DutyCurves {
  const layout = steadyState(design).layout
  const index = Math.max(
    0,
    layout.lines.findIndex(({ line }) => line.id === lineId),
  )
  const pump = pumpOf(layout, index)
  const system = systemCurve(layout, pump, samples)
  const moved = (by: number) =>
    system.map(({ flowM3PerS, headM, bandM }) => ({ flowM3PerS, headM: headM + by * bandM }))
  const { speed } = pump
  return {
    pump: pumpPoints(pump.curve, speed, samples),
    fullSpeed: speed < 1 ? pumpPoints(pump.curve, 1, samples) : null,
    printed: pump.part.curve.map(({ flowM3PerS, headM }) => ({
      flowM3PerS: flowM3PerS * speed,
      headM: headM * speed * speed,
    })),
    system,
    systemLow: moved(-1),
    systemHigh: moved(1),
  }
}

/** A pump's head over its flow at a speed. */
export function pumpPoints(curve: PumpCurve, speed: number, samples = 48): HeadPoint[] {
  const widest = Math.max(curve.freeFlowM3PerS, 1e-6)
  return Array.from({ length: samples + 1 }, (_, i) => {
    const flowM3PerS = (i / samples) * widest * speed
    return { flowM3PerS, headM: pumpHeadM(curve, flowM3PerS, speed) }
  })
}

/** A pump that gives what no pump gives: a straight, steep curve that meets the system anywhere. */
const PROBE_STEEPNESS = 4

/**
 * What the whole network asks of one pump at each flow, the other pumps as they run: the locus of
 * the duty points of a probe in the pump's place, from too weak to lift up to twice its reach.
 */
export function systemCurve(layout: Layout, pump: LaidPump, samples: number): SystemPoint[] {
  if (pump.lineIndex === null) return []
  const link = layout.segments[pump.lineIndex]![0]!.link
  const topM = 2 * Math.max(pump.curve.shutOffHeadM, 0.5)
  const widest = Math.max(pump.curve.freeFlowM3PerS, 1e-6)
  const own = layout.problem.links[link]!.pump!
  const probing = (curve: PumpCurve): LinkPump => ({ ...own, curve, speed: 1, stopped: false })
  const points: SystemPoint[] = []
  let from: number[] | undefined
  for (let i = 0; i <= samples; i++) {
    const reachM = (i / samples) ** 1.4 * topM * (1 + PROBE_STEEPNESS)
    const probe = probeCurve(reachM, (PROBE_STEEPNESS * topM) / widest)
    const network = makeNetwork(withPumpAt(layout.problem, link, probing(probe)))
    const { flows } = solveWithLosses(network, from)
    from = flows.flowsM3PerS
    const flow = flows.flowsM3PerS[link]!
    if (flow > widest * 1.05) break
    if (flow > 0) {
      const headM = probe.headAtFullSpeedM(flow)
      points.push({ flowM3PerS: flow, headM, bandM: bandAtFlow(new Bands(network), link) })
    } else points.splice(0, 1, { flowM3PerS: 0, headM: reachM, bandM: 0 })
  }
  return points
}

/** How far the head that is asked for at this flow may be off: what moves the probe's flow by as much does so by its own steepness. */
function bandAtFlow(bands: Bands, link: number): number {
  return bands.ofFlow(link).pieces / Math.abs(bands.sensitivity(link, link))
}

function probeCurve(shutOffHeadM: number, slopeSPerM2: number): PumpCurve {
  return {
    shutOffHeadM,
    freeFlowM3PerS: shutOffHeadM / slopeSPerM2,
    knownToM3PerS: shutOffHeadM / slopeSPerM2,
    twoNumber: false,
    headAtFullSpeedM: (flow) => shutOffHeadM - slopeSPerM2 * flow,
    slopeAtFullSpeed: () => -slopeSPerM2,
  }
}
