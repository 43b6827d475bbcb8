import { AS_COMPUTED, lineLoss } from '../network/line.ts'
import { FITTINGS_BAND, FRICTION_BAND } from '../network/band.ts'
import { pumpHeadM } from '../pump/curve.ts'
import type { BasinDesign } from './design.ts'
import { layOut } from './layout.ts'

/** One point of a curve to draw. */
export interface HeadPoint {
  readonly flowM3PerS: number
  readonly headM: number
}

/** The pump against the system, sampled for a chart. */
export interface DutyCurves {
  readonly pump: readonly HeadPoint[]
  /** The pump at full speed, when it runs slower. */
  readonly fullSpeed: readonly HeadPoint[] | null
  /** The maker's own points, scaled to the speed in use. */
  readonly printed: readonly HeadPoint[]
  readonly system: readonly HeadPoint[]
  /** The system with every loss at the low and at the high end of its band. */
  readonly systemLow: readonly HeadPoint[]
  readonly systemHigh: readonly HeadPoint[]
}

export function dutyCurves(design: BasinDesign, samples = 48): DutyCurves {
  const { curve, part, problem, liftM, water } = layOut(design)
  const { speed, line } = problem
  const widest = Math.max(curve.freeFlowM3PerS, 1e-6)
  const flows = Array.from({ length: samples + 1 }, (_, i) => (i / samples) * widest)
  const system = (scale: typeof AS_COMPUTED) =>
    flows.map((flowM3PerS) => {
      const { frictionM, fittingsM } = lineLoss(line, flowM3PerS, water, scale)
      return { flowM3PerS, headM: liftM + frictionM + fittingsM }
    })
  const pumpAt = (n: number) =>
    flows.map((flow) => ({ flowM3PerS: flow * n, headM: pumpHeadM(curve, flow * n, n) }))
  return {
    pump: pumpAt(speed),
    fullSpeed: speed < 1 ? pumpAt(1) : null,
    printed: part.curve.map(({ flowM3PerS, headM }) => ({
      flowM3PerS: flowM3PerS * speed,
      headM: headM * speed * speed,
    })),
    system: system(AS_COMPUTED),
    systemLow: system({ friction: 1 - FRICTION_BAND, fittings: 1 - FITTINGS_BAND }),
    systemHigh: system({ friction: 1 + FRICTION_BAND, fittings: 1 + FITTINGS_BAND }),
  }
}
