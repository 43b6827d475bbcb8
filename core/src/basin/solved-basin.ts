import type { Finding } from './finding/finding.ts'
import type { RulesOfThumb } from './rules-of-thumb.ts'
import type { SolvedReturn, SolvedTank, SolvedWater } from './solved.ts'

/** Every figure of a solved basin, SI. */
export interface SolvedBasin {
  readonly tank: SolvedTank
  readonly water: SolvedWater
  readonly returnSide: SolvedReturn
  readonly rulesOfThumb: RulesOfThumb
  readonly findings: readonly Finding[]
}
