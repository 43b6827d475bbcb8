import type { DutyFailure, DutyProblem, Duty } from './duty.ts'
import { solveDuty } from './duty.ts'
import type { Outcome } from '../numeric/outcome.ts'

/** How well the losses are known (hydraulics reference, §3): fittings but exits ± 20 %, friction ± 5 %. */
export const FITTINGS_BAND = 0.2
export const FRICTION_BAND = 0.05

/** Half widths of what the duty point says. */
export interface DutyBand {
  readonly flowM3PerS: number
  readonly headM: number
  readonly frictionM: number
  readonly fittingsM: number
}

const NO_BAND: DutyBand = { flowM3PerS: 0, headM: 0, frictionM: 0, fittingsM: 0 }

/**
 * The honest band: solve again with one group of losses scaled up, then down, take half the
 * difference, and combine the groups as root sum of squares.
 *
 * @param middle the duty point as computed; only narrows the search
 */
export function dutyBand(problem: DutyProblem, middle?: Duty): DutyBand {
  const fittings = halfDifference(
    solveDuty(problem, { friction: 1, fittings: 1 + FITTINGS_BAND }, middle),
    solveDuty(problem, { friction: 1, fittings: 1 - FITTINGS_BAND }, middle),
  )
  const friction = halfDifference(
    solveDuty(problem, { friction: 1 + FRICTION_BAND, fittings: 1 }, middle),
    solveDuty(problem, { friction: 1 - FRICTION_BAND, fittings: 1 }, middle),
  )
  return {
    flowM3PerS: Math.hypot(fittings.flowM3PerS, friction.flowM3PerS),
    headM: Math.hypot(fittings.headM, friction.headM),
    frictionM: Math.hypot(fittings.frictionM, friction.frictionM),
    fittingsM: Math.hypot(fittings.fittingsM, friction.fittingsM),
  }
}

function halfDifference(
  up: Outcome<Duty, DutyFailure>,
  down: Outcome<Duty, DutyFailure>,
): DutyBand {
  if (!up.ok || !down.ok) return NO_BAND
  return {
    flowM3PerS: (up.value.flowM3PerS - down.value.flowM3PerS) / 2,
    headM: (up.value.headM - down.value.headM) / 2,
    frictionM: (up.value.frictionM - down.value.frictionM) / 2,
    fittingsM: (up.value.fittingsM - down.value.fittingsM) / 2,
  }
}
