import { gather } from '../../numeric/gather.ts'
import type { SolvedDrain, SolvedLoop, SolvedOverflow, SolvedSump } from '../solved-gravity.ts'
import type { Settled } from './settle.ts'
import { solveDrains } from './solve-drains.ts'
import { solveOverflow } from './solve-overflow.ts'
import { solveSump } from './solve-sump.ts'

/** The way down, from the rim to the sump. */
export interface SolvedGravity {
  readonly overflows: readonly SolvedOverflow[]
  readonly drains: readonly SolvedDrain[]
  readonly sump: SolvedSump
  readonly loop: SolvedLoop
}

export function solveGravity(
  settled: Settled,
  intoTank: (tankId: string) => { readonly flowM3PerS: number },
): SolvedGravity {
  const { overflows, tankLevels, passes, restlessM } = settled
  return {
    overflows: gather(overflows, (one, i) => {
      if (!one) return []
      const flow = Math.max(0, intoTank(one.tank.id).flowM3PerS)
      return [solveOverflow(settled, one, tankLevels[i]!, flow)]
    }),
    drains: solveDrains(settled),
    sump: solveSump(settled),
    loop: { passes, restlessM },
  }
}
