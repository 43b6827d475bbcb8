import type { DisplayTank, ReturnLine, Sump } from '../../design/index.ts'
import type { Tees } from '../../layout/index.ts'
import { memoizeWith } from '../../numeric/index.ts'
import type { PlacedPiece, Point } from '../../run/index.ts'

/** What stands round a line. */
interface Round {
  readonly line: ReturnLine
  readonly mouth: Point
  readonly tees: Tees
  readonly tanks: readonly DisplayTank[]
  readonly sump: Sump
}

/** A line and what stands round it as they are drawn, levels as the keeper gave them. */
export interface LineAsDrawn extends Round {
  readonly placed: readonly PlacedPiece[]
}

/** The same object for as long as none of it is drawn anew; where its pieces are says where its mouth is. */
export const lineAsDrawn: (placed: readonly PlacedPiece[], round: Round) => LineAsDrawn =
  memoizeWith(
    (placed: readonly PlacedPiece[], round: Round): LineAsDrawn => ({ placed, ...round }),
    (before, now) =>
      before.line === now.line &&
      before.tees === now.tees &&
      before.tanks === now.tanks &&
      before.sump === now.sump,
  )
