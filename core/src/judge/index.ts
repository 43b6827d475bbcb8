export type { BlockedRow } from './blocked.ts'
export {
  judged,
  type Judged,
  judgedSump,
  leastDrainMargin,
  type SolvedOverflow,
  type SolvedSump,
} from './judged.ts'
export type { SolvedOutage } from './outage.ts'
