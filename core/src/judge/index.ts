export type { BlockedRow } from './blocked.ts'
export {
  judged,
  type Judged,
  judgedSump,
  worstBlocked,
  type SolvedOverflow,
  type SolvedSump,
} from './judged.ts'
export { type DrillSaid, leftByDrill } from './drilled.ts'
export type { RunsOver } from './runs-over.ts'
export type { SolvedOutage } from './outage.ts'
