import type { SteadyState } from '../../loop/index.ts'
import { flatMap } from '../../numeric/index.ts'
import { type BandedFlow, flowShareOf } from '../flow-share.ts'
import { type IntoTank, solveDrains } from './solve-drains.ts'
import { solveOverflow } from './solve-overflow.ts'
import { solveSump } from './solve-sump.ts'
import type { RunningOverflow, RunningSump, SolvedDrain, SolvedLoop } from './solved-gravity.ts'

/** The way down, from the rim to the sump. */
export interface SolvedGravity {
  readonly overflows: readonly RunningOverflow[]
  readonly drains: readonly SolvedDrain[]
  readonly sump: RunningSump
  readonly loop: SolvedLoop
}

/**
 * Overflows, drains and sump of a steady state.
 *
 * @param intoAll what the lines bring into all tanks together
 */
export function solveGravity(
  steady: SteadyState,
  intoTank: IntoTank,
  intoAll: BandedFlow,
): SolvedGravity {
  const { overflows, tankLevels, passes, residualM } = steady
  return {
    overflows: flatMap(overflows, (overflow, i) => {
      if (!overflow) return []
      const { flowM3PerS, flowBandM3PerS } = intoTank(overflow.tank.id)
      const into = { flowM3PerS: Math.max(0, flowM3PerS), flowBandM3PerS }
      return [solveOverflow(overflow, tankLevels[i]!, into)]
    }),
    drains: solveDrains(steady, intoTank),
    sump: solveSump(steady, flowShareOf(intoAll)),
    loop: { passes, residualM },
  }
}
