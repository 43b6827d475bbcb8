import { brent } from '../numeric/brent.ts'
import { pumpHeadM, type PumpCurve } from '../pump/curve.ts'
import { AS_COMPUTED, lineLoss } from './line.ts'
import type { DutyProblem } from './duty.ts'

const SPEED_TOLERANCE = 1e-9

/** The share of full speed at which a pump sends a flow through its line; null when full speed does not. */
export function speedForFlow(problem: DutyProblem, flowM3PerS: number): number | null {
  const { frictionM, fittingsM } = lineLoss(problem.line, flowM3PerS, problem.water, AS_COMPUTED)
  const needed = problem.liftM + frictionM + fittingsM
  const spare = (speed: number) => pumpHeadM(problem.curve, flowM3PerS, speed) - needed
  if (spare(1) < 0) return null
  const found = brent(spare, 1e-3, 1, { tolerance: SPEED_TOLERANCE })
  return found.ok ? found.value : null
}

/** The flow at which a running pump gives a head; nil when its shut-off head is below it. */
export function flowAtHead(curve: PumpCurve, speed: number, headM: number): number {
  const spare = (flow: number) => pumpHeadM(curve, flow, speed) - headM
  if (spare(0) <= 0) return 0
  const found = brent(spare, 0, speed * curve.freeFlowM3PerS * 2, { tolerance: 1e-13 })
  return found.ok ? found.value : 0
}
