import type { SteadyState } from '../../loop/index.ts'
import { flatMap } from '../../numeric/index.ts'
import { flowShareOf } from './level-bands.ts'
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
  const { overflows, tankLevels, passes, residualM, design } = steady
  const all = design.tanks.map(({ id }) => intoTank(id))
  const sum = (of: 'flowM3PerS' | 'flowBandM3PerS') =>
    all.reduce((total, into) => total + into[of], 0)
  const flowShare = flowShareOf({
    flowM3PerS: sum('flowM3PerS'),
    flowBandM3PerS: sum('flowBandM3PerS'),
  })
  return {
    overflows: flatMap(overflows, (overflow, i) => {
      if (!overflow) return []
      const { flowM3PerS, flowBandM3PerS } = intoTank(overflow.tank.id)
      const into = { flowM3PerS: Math.max(0, flowM3PerS), flowBandM3PerS }
      return [solveOverflow(overflow, tankLevels[i]!, into)]
    }),
    drains: solveDrains(steady, intoTank),
    sump: solveSump(steady, flowShare),
    loop: { passes, residualM },
  }
}
