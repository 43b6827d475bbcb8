export {
  balance,
  type BalanceOption,
  type FlowTarget,
  type LineAgainstTarget,
  type School,
  targetsOf,
} from './balance.ts'
export type { RankedOption } from './rank.ts'
export { ratedNeed, type RatedNeed } from './rated.ts'
export { size, type SizingAnswer } from './search.ts'
export type { Candidate, SizingWish, Values } from './wish.ts'
