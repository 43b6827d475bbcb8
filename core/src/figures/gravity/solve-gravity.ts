import type { SteadyState } from '../../loop/index.ts'
import { flatMap } from '../../numeric/index.ts'
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

/** Overflows and drains of a steady state. */
export function solveGravity(steady: SteadyState, intoTank: IntoTank): SolvedGravity {
  const { overflows, tankLevels, passes, residualM } = steady
  return {
    overflows: flatMap(overflows, (overflow, i) => {
      if (!overflow) return []
      const flow = Math.max(0, intoTank(overflow.tank.id).flowM3PerS)
      return [solveOverflow(overflow, tankLevels[i]!, flow)]
    }),
    drains: solveDrains(steady, intoTank),
    sump: solveSump(steady),
    loop: { passes, residualM },
  }
}
