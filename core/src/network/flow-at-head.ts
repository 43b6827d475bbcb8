import { brent } from '../numeric/index.ts'
import { type PumpCurve, pumpHeadM, pumpSpreadM } from '../pump/index.ts'

/** The flow at which a running pump gives a head; zero when its shut-off head is below it. */
export function flowAtHead(curve: PumpCurve, speed: number, headM: number): number {
  const spare = (flow: number) => pumpHeadM(curve, flow, speed) - headM
  if (spare(0) <= 0) return 0
  const found = brent(spare, 0, speed * curve.freeFlowM3PerS * 2, { tolerance: 1e-13 })
  return found.ok ? found.value : 0
}

/** What a running pump gives at a head, and how far its curve is known there: its spread over its slope. */
export function readAtHead(
  curve: PumpCurve,
  speed: number,
  headM: number,
): { readonly flowM3PerS: number; readonly bandM3PerS: number } {
  const flowM3PerS = flowAtHead(curve, speed, headM)
  if (flowM3PerS <= 0) return { flowM3PerS: 0, bandM3PerS: 0 }
  const slope = Math.abs(speed * curve.slopeAtFullSpeed(flowM3PerS / speed))
  const spreadM = pumpSpreadM({ curve, speed }, flowM3PerS, 0)
  // Where the curve is level the head says next to nothing of the flow.
  const bandM3PerS = slope * flowM3PerS > spreadM ? spreadM / slope : flowM3PerS
  return { flowM3PerS, bandM3PerS }
}
