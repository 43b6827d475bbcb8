import { leastSpeedToLift, type PumpCurve } from './curve.ts'

/** Two standard deviations of a pump's head and flow, as shares (ISO 9906 grade 3; choice). */
const HEAD_SPREAD = 0.06
const FLOW_SPREAD = 0.08
/** Of a pump by two numbers: how far its curve may bulge, as a share of most head (choice). */
const SHAPE_SPREAD = 0.6

/** A pump as it runs. */
export interface RunningPump {
  readonly curve: PumpCurve
  readonly speed: number
}

/**
 * How far a running pump's head may be off at its flow, m: √((0.06 H)² + (0.08 Q H′)²), and for a
 * two-number curve 0.6 Hmax x (1 − x) as a third square, x = Q/Qmax. Forced back, H is n²H₀ and its K
 * loss, H′ the slope of that sum.
 *
 * @param backPerFlow2 loss of water forced back through it, s²/m⁵
 */
export function pumpSpreadM(
  { curve, speed }: RunningPump,
  flowM3PerS: number,
  backPerFlow2: number,
): number {
  const back = flowM3PerS < 0
  const headM = back
    ? speed * speed * curve.shutOffHeadM + backPerFlow2 * flowM3PerS * flowM3PerS
    : speed * speed * curve.headAtFullSpeedM(flowM3PerS / speed)
  const slope = back
    ? 2 * backPerFlow2 * flowM3PerS
    : speed * curve.slopeAtFullSpeed(flowM3PerS / speed)
  const byHead = HEAD_SPREAD * headM
  const byFlow = FLOW_SPREAD * flowM3PerS * slope
  const byShape = shapeSpreadM(curve, speed, flowM3PerS)
  return Math.sqrt(byHead * byHead + byFlow * byFlow + byShape * byShape)
}

function shapeSpreadM(
  { twoNumber, shutOffHeadM, freeFlowM3PerS }: PumpCurve,
  speed: number,
  flow: number,
): number {
  if (!twoNumber) return 0
  const x = flow / (speed * freeFlowM3PerS)
  return x > 0 && x < 1 ? SHAPE_SPREAD * speed * speed * shutOffHeadM * x * (1 - x) : 0
}

/** How far the least speed that lifts may be off, as a share of full speed: n ∝ H₀^−½. */
export function leastSpeedBand(curve: PumpCurve, liftM: number): number {
  return (leastSpeedToLift(curve, liftM) * HEAD_SPREAD) / 2
}
