import type { Drain } from '../../design/index.ts'
import type { SolvedDrain } from '../../figures/index.ts'
import { flatMap } from '../../numeric/index.ts'
import type { DrawnCase } from '../drawn-rule.ts'
import { type DrainAsDrawn, drainAsDrawn } from './drain-as-drawn.ts'
import type { OverflowCase } from './overflow-case.ts'

/** A drain of the design with all that is known of it. */
export interface DrainCase extends DrawnCase<DrainAsDrawn> {
  readonly box: OverflowCase
  readonly drain: Drain
  /** Its place in the design's list. */
  readonly index: number
  readonly solved: SolvedDrain
}

/** The drains of one overflow. */
export function drainCases(box: OverflowCase): DrainCase[] {
  const { design, drains, steady } = box.whole
  const { sump, tanks } = steady.given
  const tank = tanks[box.index]!
  return flatMap(design.drains, (drain, index): DrainCase[] =>
    drain.tankId === box.tank.id
      ? [
          {
            box,
            drain,
            index,
            solved: drains[index]!,
            drawing: drainAsDrawn(steady.drains[index]!, {
              drain,
              mouth: steady.drains[index]!.mouth,
              tank,
              sump,
            }),
            where: { tankId: box.tank.id, drainId: drain.id },
          },
        ]
      : [],
  )
}
