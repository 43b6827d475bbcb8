import type { Drain } from '../../design/index.ts'
import type { SolvedDrain } from '../../figures/index.ts'
import { flatMap } from '../../numeric/index.ts'
import type { Case } from '../rule.ts'
import type { OverflowCase } from './overflow-case.ts'

/** A drain of the design with all that is known of it. */
export interface DrainCase extends Case {
  readonly box: OverflowCase
  readonly drain: Drain
  /** Its place in the design's list. */
  readonly index: number
  readonly solved: SolvedDrain
}

/** The drains of one overflow. */
export function drainCases(box: OverflowCase): DrainCase[] {
  const { design, drains } = box.whole
  return flatMap(design.drains, (drain, index): DrainCase[] =>
    drain.tankId === box.tank.id
      ? [
          {
            box,
            drain,
            index,
            solved: drains[index]!,
            where: { tankId: box.tank.id, drainId: drain.id },
          },
        ]
      : [],
  )
}
