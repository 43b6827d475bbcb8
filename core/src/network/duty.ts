import type { Water } from '../fluid/water.ts'
import { brent } from '../numeric/brent.ts'
import { settled, unsettled, type Outcome } from '../numeric/outcome.ts'
import { forcedBackHeadM, pumpHeadM, type PumpCurve } from '../pump/curve.ts'
import { AS_COMPUTED, lineLoss, type Line, type LossScale } from './line.ts'

/** One pump, one line, one lift. */
export interface DutyProblem {
  readonly curve: PumpCurve
  readonly outletBoreM: number
  readonly speed: number
  readonly line: Line
  /** Head at the end over the water the pump draws from. */
  readonly liftM: number
  readonly water: Water
  /** A valve in the line is shut. */
  readonly shut: boolean
  /** The end is under water and nothing in the line stops water from running back. */
  readonly canFlowBack: boolean
}

/** flows: as it should. no-lift: the pump cannot reach the end. flows-back: it cannot, and water runs back. */
export type DutyStatus = 'flows' | 'no-lift' | 'flows-back' | 'shut'

export interface Duty {
  readonly status: DutyStatus
  /** Negative when water runs back. */
  readonly flowM3PerS: number
  /** Head the pump gives at that flow. */
  readonly headM: number
  readonly frictionM: number
  /** With the exit. */
  readonly fittingsM: number
}

/** The pump's head never meets the line's: the curve and the line give no crossing within reach. */
export type DutyFailure = 'no-crossing' | 'too-many-iterations'

/** Flow is found to this, m³/s: a millionth of a litre an hour or so. */
const SEARCH = { tolerance: 1e-13 }
/** How often the upper bound is doubled in search of a bracket. */
const MOST_DOUBLINGS = 40

/**
 * Where the pump's curve meets lift and losses, by Brent inside a bracket.
 *
 * @param near a duty point of nearly the same problem: narrows the bracket, changes no answer
 */
export function solveDuty(
  problem: DutyProblem,
  scale: LossScale = AS_COMPUTED,
  near?: Duty,
): Outcome<Duty, DutyFailure> {
  const shutOffM = pumpHeadM(problem.curve, 0, problem.speed)
  const still = { flowM3PerS: 0, headM: shutOffM, frictionM: 0, fittingsM: 0 }
  if (problem.shut) return settled({ status: 'shut', ...still }, 0)
  if (shutOffM > problem.liftM) return forwardDuty(problem, scale, near)
  if (problem.canFlowBack && shutOffM < problem.liftM) return backwardDuty(problem, scale)
  return settled({ status: 'no-lift', ...still }, 0)
}

function forwardDuty(
  problem: DutyProblem,
  scale: LossScale,
  near?: Duty,
): Outcome<Duty, DutyFailure> {
  const { curve, speed, line, liftM, water } = problem
  const spare = (flow: number): number => {
    const { frictionM, fittingsM } = lineLoss(line, flow, water, scale)
    return pumpHeadM(curve, flow, speed) - liftM - frictionM - fittingsM
  }
  const first = speed * curve.freeFlowM3PerS
  const duty = (flowM3PerS: number): Duty => ({
    status: 'flows',
    flowM3PerS,
    headM: pumpHeadM(curve, flowM3PerS, speed),
    ...lineLoss(line, flowM3PerS, water, scale),
  })
  const guessed = near && brent(spare, near.flowM3PerS * 0.8, near.flowM3PerS * 1.25, SEARCH)
  if (guessed?.ok) return settled(duty(guessed.value), guessed.iterations)
  return crossing(spare, first, duty)
}

/** Each K keeps its value when the flow turns round. */
function backwardDuty(problem: DutyProblem, scale: LossScale): Outcome<Duty, DutyFailure> {
  const { curve, outletBoreM, speed, line, liftM, water } = problem
  const pumpSide = (flow: number) => forcedBackHeadM(curve, { outletBoreM }, flow, speed)
  const spare = (flow: number): number => {
    const { frictionM, fittingsM } = lineLoss(line, flow, water, scale)
    return liftM - pumpSide(flow) - frictionM - fittingsM
  }
  return crossing(spare, curve.freeFlowM3PerS, (flow) => ({
    status: 'flows-back',
    flowM3PerS: -flow,
    headM: pumpSide(flow),
    ...lineLoss(line, flow, water, scale),
  }))
}

/** spare is positive at no flow and falls; find where it is nil. */
function crossing(
  spare: (flow: number) => number,
  firstUpperM3PerS: number,
  duty: (flow: number) => Duty,
): Outcome<Duty, DutyFailure> {
  let upper = firstUpperM3PerS
  for (let i = 0; spare(upper) > 0; i++) {
    if (i === MOST_DOUBLINGS) return unsettled('no-crossing', i)
    upper *= 2
  }
  const root = brent(spare, 0, upper, SEARCH)
  return root.ok
    ? settled(duty(root.value), root.iterations)
    : unsettled('too-many-iterations', root.iterations)
}
