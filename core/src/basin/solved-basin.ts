import { gather } from '../numeric/gather.ts'
import type { Finding } from './finding/finding.ts'
import type { RulesOfThumb } from './rules-of-thumb.ts'
import type { SolvedDrain, SolvedLoop, SolvedOverflow, SolvedSump } from './solved-gravity.ts'
import type { SolvedTreatment } from './treatment/solved-treatment.ts'
import type { SolvedLine, SolvedReturn, SolvedTank, SolvedWater } from './solved.ts'

/** What all tanks and lines come to. */
export interface Totals {
  readonly netVolumeM3: number
  readonly wantedFlowM3PerS: number
  /** null when there is no net water. */
  readonly wantedTurnoverPerH: number | null
  /** Of the tank that has least. */
  readonly leastFreeboardM: number
  /** In any line's pipe and fittings. */
  readonly fastestMPerS: number
}

/** Every figure of a solved basin, SI. */
export interface SolvedBasin {
  /** In the design's order. */
  readonly tanks: readonly SolvedTank[]
  readonly water: SolvedWater
  readonly totals: Totals
  /** Of the tanks that have one, in the design's order. */
  readonly overflows: readonly SolvedOverflow[]
  readonly drains: readonly SolvedDrain[]
  readonly sump: SolvedSump
  readonly loop: SolvedLoop
  readonly returnSide: SolvedReturn
  readonly treatment: SolvedTreatment
  /** Of the line the design is known by. */
  readonly rulesOfThumb: RulesOfThumb
  readonly findings: readonly Finding[]
}

/** The line a solved basin is known by. */
export function leadOf({ returnSide }: Pick<SolvedBasin, 'returnSide'>): SolvedLine {
  return returnSide.lines.find(({ lineId }) => lineId === returnSide.leadLineId)!
}

/** What the worst single blocked pipe leaves to a rim, m; nil when it spills; null: no drain is told. */
export function leastDrainMargin(overflows: readonly SolvedOverflow[]): number | null {
  const rows = gather(overflows, ({ blocked }) =>
    blocked.filter(({ drainIds }) => drainIds.length === 1),
  )
  return rows.length > 0 ? Math.min(...rows.map(({ marginM }) => marginM)) : null
}
