import { evaluatePchip, makePchip, memoize, type Pchip, pchipSlope } from '../numeric/index.ts'
import { speedMPerS, velocityHeadM } from '../pipe/index.ts'
import type { PumpPart } from './part.ts'

/** A curve ready to be asked many times. All heads in m, flows in m³/s, at full speed. */
export interface PumpCurve {
  readonly shutOffHeadM: number
  /** Flow at which the head reaches zero. */
  readonly freeFlowM3PerS: number
  /** Printed flow up to which the curve is known; beyond, it goes straight on. */
  readonly knownToM3PerS: number
  /** Only most flow and most head are known: H = Hmax (1 − (Q/Qmax)²). */
  readonly twoNumber: boolean
  readonly headAtFullSpeedM: (flowM3PerS: number) => number
  /** dH/dQ at full speed, s/m². */
  readonly slopeAtFullSpeed: (flowM3PerS: number) => number
}

/** K of a stopped pump, and of one that water is forced back through, on its outlet bore (choice). */
export const FORCED_BACK_K = 4

/** The curve of a part, as its maker prints it. */
export const pumpCurve = memoize((part: PumpPart): PumpCurve => {
  const two = twoNumbersOf(part)
  return two ? twoNumberCurve(two) : printedCurve(part)
})

/** Most head and most flow, where a pump is known by these alone. */
interface TwoNumbers {
  readonly shutOffHeadM: number
  readonly maxFlowM3PerS: number
}

/** The two numbers of a pump that has no curve, or whose list is just these two; null: it has a curve. */
export function twoNumbersOf({
  id,
  curve,
  shutOffHeadM,
  maxFlowM3PerS,
}: PumpPart): TwoNumbers | null {
  if (curve.length === 0) {
    if (shutOffHeadM && maxFlowM3PerS) return { shutOffHeadM, maxFlowM3PerS }
    throw new RangeError(`pump ${id} needs points, or most flow and most head`)
  }
  const [first, last] = curve
  const isTwo = curve.length === 2 && first!.flowM3PerS === 0 && last!.headM === 0
  return isTwo ? { shutOffHeadM: first!.headM, maxFlowM3PerS: last!.flowM3PerS } : null
}

/** H = n² H₁(Q/n) by the affinity laws; with n = 0 the pump gives nothing. */
export function pumpHeadM(curve: PumpCurve, flowM3PerS: number, speed: number): number {
  if (speed <= 0) return 0
  return speed * speed * curve.headAtFullSpeedM(flowM3PerS / speed)
}

/** Water forced back through a running pump meets n²H₀ plus K V²/2g on its outlet bore (choice). */
export function forcedBackHeadM(
  curve: PumpCurve,
  part: Pick<PumpPart, 'outletBoreM'>,
  backFlowM3PerS: number,
  speed: number,
): number {
  const loss = FORCED_BACK_K * velocityHeadM(speedMPerS(backFlowM3PerS, part.outletBoreM))
  return speed * speed * curve.shutOffHeadM + loss
}

/** What water loses that runs through a stopped pump, in the way it runs: K V²/2g on its outlet bore. */
export function stoppedLossM(outletBoreM: number, flowM3PerS: number): number {
  const speed = speedMPerS(flowM3PerS, outletBoreM)
  return Math.sign(flowM3PerS) * FORCED_BACK_K * velocityHeadM(speed)
}

/** The least share of full speed whose shut-off head reaches a lift: √(lift/H₀). */
export function leastSpeedToLift(curve: PumpCurve, liftM: number): number {
  return liftM <= 0 ? 0 : Math.sqrt(liftM / curve.shutOffHeadM)
}

function twoNumberCurve({ shutOffHeadM, maxFlowM3PerS }: TwoNumbers): PumpCurve {
  return {
    shutOffHeadM,
    freeFlowM3PerS: maxFlowM3PerS,
    knownToM3PerS: maxFlowM3PerS,
    twoNumber: true,
    headAtFullSpeedM: (flow) => shutOffHeadM * (1 - (flow / maxFlowM3PerS) ** 2),
    slopeAtFullSpeed: (flow) => (-2 * shutOffHeadM * flow) / (maxFlowM3PerS * maxFlowM3PerS),
  }
}

function printedCurve(part: PumpPart): PumpCurve {
  const points = withShutOff(part)
  const pchip = makePchip(
    points.map((point) => point.flowM3PerS),
    points.map((point) => point.headM),
  )
  const last = points.length - 1
  const lastFlow = points[last]!.flowM3PerS
  const lastHead = points[last]!.headM
  const slope = slopePastEnd(pchip)
  const headAtFullSpeedM = (flow: number): number => {
    if (flow <= 0) return points[0]!.headM
    return flow > lastFlow ? lastHead + slope * (flow - lastFlow) : evaluatePchip(pchip, flow)
  }
  return {
    shutOffHeadM: points[0]!.headM,
    freeFlowM3PerS: slope < 0 ? Math.max(lastFlow, lastFlow - lastHead / slope) : lastFlow,
    knownToM3PerS: lastFlow,
    twoNumber: false,
    headAtFullSpeedM,
    slopeAtFullSpeed: (flow) => {
      if (flow <= 0) return 0
      return flow > lastFlow ? slope : pchipSlope(pchip, flow)
    },
  }
}

/** The curve from no flow on: a maker who gives no shut-off head is read as the first point's head. */
function withShutOff(part: PumpPart) {
  const first = part.curve[0]!
  if (first.flowM3PerS <= 0) return part.curve
  return [{ flowM3PerS: 0, headM: part.shutOffHeadM ?? first.headM }, ...part.curve]
}

/** The steeper of the end slope and the last chord. */
function slopePastEnd({ xs, ys, slopes }: Pchip): number {
  const last = xs.length - 1
  const chord = (ys[last]! - ys[last - 1]!) / (xs[last]! - xs[last - 1]!)
  return Math.min(slopes[last]!, chord)
}
