import type { DisplayTank, Overflow } from '../../design/index.ts'
import type { SolvedOverflow } from '../../judge/index.ts'
import type { Overflowing } from '../../loop/index.ts'
import { flatMap } from '../../numeric/index.ts'
import type { DrawnCase } from '../drawn-rule.ts'
import { tankWords } from './tank-case.ts'
import type { Whole } from './whole.ts'

/** One tank with an overflow and everything known of it. */
export interface OverflowCase extends DrawnCase<DisplayTank> {
  readonly whole: Whole
  readonly index: number
  readonly tank: DisplayTank
  readonly overflow: Overflow
  readonly laid: Overflowing
  readonly solved: SolvedOverflow
  /** "Lower tank: " where there are several. */
  readonly words: string
}

/** Every tank that has an overflow. */
export function overflowCases(whole: Whole): OverflowCase[] {
  const { design, steady, overflows } = whole
  return flatMap(design.tanks, (tank, index): OverflowCase[] => {
    const laid = steady.overflows[index]
    const solved = overflows.find(({ tankId }) => tankId === tank.id)
    if (!laid || !solved || !tank.overflow) return []
    const { overflow } = tank
    const words = tankWords(design, tank)
    const drawing = steady.given.tanks[index]!
    const where = { tankId: tank.id }
    return [{ whole, index, tank, overflow, laid, solved, words, drawing, where }]
  })
}
