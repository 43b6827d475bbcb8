import type { DrillOutcome, Verdict } from './verdict.ts'

/** Worst first. */
export const OUTCOME_ORDER: Readonly<Record<DrillOutcome, number>> = { wet: 0, watch: 1, dry: 2 }

/** Of what reaches the floor, so much less is better (choice). */
const LESS_SHARE = 0.9

/** Is what a drill came to better than what it came to before: another outcome, or clearly less on the floor? */
export function isBetter(after: Verdict, before: Verdict): boolean {
  const gain = OUTCOME_ORDER[after.outcome] - OUTCOME_ORDER[before.outcome]
  if (gain !== 0 || after.outcome !== 'wet') return gain > 0
  return after.spilledM3 < LESS_SHARE * before.spilledM3
}

/** What a change of the design does to its drills. */
export interface DrillsChanged {
  /** Those that come to another outcome, or are new with one. */
  readonly better: readonly Verdict[]
  readonly worse: readonly Verdict[]
}

/** Drills whose outcome a change moves; one that was not there before can only be better. */
export function drillsChanged(
  before: readonly Verdict[],
  after: readonly Verdict[],
): DrillsChanged {
  const known = new Map(before.map((verdict) => [verdict.drillId, verdict]))
  const changed = after.filter(({ drillId, outcome }) => known.get(drillId)?.outcome !== outcome)
  const rank = (outcome: DrillOutcome) => OUTCOME_ORDER[outcome]
  const gains = ({ drillId, outcome }: Verdict) =>
    rank(outcome) > rank(known.get(drillId)?.outcome ?? 'wet')
  return {
    better: changed.filter(gains),
    worse: changed.filter((verdict) => known.has(verdict.drillId) && !gains(verdict)),
  }
}

/** Worst first: by outcome, then by what reaches the floor, then by the least margin. */
export function worstFirst(verdicts: readonly Verdict[]): Verdict[] {
  return [...verdicts].sort(
    (a, b) =>
      OUTCOME_ORDER[a.outcome] - OUTCOME_ORDER[b.outcome] ||
      b.spilledM3 - a.spilledM3 ||
      a.marginM - b.marginM,
  )
}
