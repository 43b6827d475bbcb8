import type { SteadyState } from '../loop/index.ts'
import { worstFirst } from './better.ts'
import { drillsOf } from './drills.ts'
import type { Drill } from './fault.ts'
import { drillVerdict } from './one-drill.ts'
import { chained } from './own-drill.ts'
import { pairsOf, singleFailures, type Survival, survivalOf } from './survival.ts'
import type { Verdict } from './verdict.ts'

/** Every drill that applies, the keeper's own behind the others. */
export function allDrills(steady: SteadyState): Drill[] {
  const known = drillsOf(steady)
  const own = steady.design.drills.map((drill) => chained(drill, known))
  return [...known, ...own.filter((drill) => drill !== null)]
}

/** What every drill came to, worst first, and what the system survives. */
export interface Drilled {
  readonly verdicts: readonly Verdict[]
  readonly survival: Survival
}

/**
 * Pairs times lines: where there are more, none is tried in one go. A pair takes up to 2 ms a line on this class of
 * machine, and whoever waits for all of it waits less than ten seconds.
 */
const MOST_PAIR_LINES = 4000

/** Simulates all of them, and every two single failures at once where those are not too many, one after the other. */
export function drillAll(steady: SteadyState, mostPairLines = MOST_PAIR_LINES): Drilled {
  const drills = allDrills(steady)
  const simulated = (drill: Drill) => drillVerdict(steady, drill)
  const verdicts = drills.map(simulated)
  const singles = singleFailures(drills)
  const all = pairsOf(singles)
  const pairs = all.length * steady.design.returnSide.lines.length > mostPairLines ? [] : all
  const ids = new Set(singles.map(({ id }) => id))
  return {
    verdicts: worstFirst(verdicts),
    survival: survivalOf(
      verdicts.filter(({ drillId }) => ids.has(drillId)),
      pairs.map(simulated),
      pairs,
      all.length - pairs.length,
    ),
  }
}
