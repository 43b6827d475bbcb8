import type { DisplayTank, Drain, Sump } from '../../design/index.ts'
import type { LaidDrain } from '../../loop/index.ts'
import { memoizeWith } from '../../numeric/index.ts'
import type { Point } from '../../run/index.ts'

/** A drain, its tank and the sump as they are drawn, levels as the keeper gave them. */
export interface DrainAsDrawn {
  readonly drain: Drain
  readonly mouth: Point
  readonly tank: DisplayTank
  readonly sump: Sump
}

/** The same object for as long as none of it is drawn anew. */
export const drainAsDrawn: (laid: LaidDrain, round: DrainAsDrawn) => DrainAsDrawn = memoizeWith(
  (_: LaidDrain, round: DrainAsDrawn): DrainAsDrawn => round,
  (before, now) =>
    before.drain === now.drain && before.tank === now.tank && before.sump === now.sump,
)
