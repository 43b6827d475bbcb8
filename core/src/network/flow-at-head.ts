import { brent } from '../numeric/index.ts'
import { type PumpCurve, pumpHeadM } from '../pump/index.ts'

/** The flow at which a running pump gives a head; zero when its shut-off head is below it. */
export function flowAtHead(curve: PumpCurve, speed: number, headM: number): number {
  const spare = (flow: number) => pumpHeadM(curve, flow, speed) - headM
  if (spare(0) <= 0) return 0
  const found = brent(spare, 0, speed * curve.freeFlowM3PerS * 2, { tolerance: 1e-13 })
  return found.ok ? found.value : 0
}
