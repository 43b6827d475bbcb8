import type { Finding } from './finding/finding.ts'
import type { RulesOfThumb } from './rules-of-thumb.ts'
import type { SolvedReturn, SolvedTank, SolvedWater } from './solved.ts'

/** Every figure of a solved basin, SI. */
export interface SolvedBasin {
  /** In the design's order. */
  readonly tanks: readonly SolvedTank[]
  readonly water: SolvedWater
  readonly returnSide: SolvedReturn
  /** Of the line the design is known by. */
  readonly rulesOfThumb: RulesOfThumb
  readonly findings: readonly Finding[]
}
