import type { Settled } from '../basin/loop/settle.ts'
import type { Drill } from './fault.ts'
import { drillsOf } from './drills.ts'
import { chained } from './own-drill.ts'
import { runDrill } from './run-drill.ts'
import { pairsOf, singleFailures, survivalOf, type Survival } from './survival.ts'
import { verdictOf, worstFirst, type Verdict } from './verdict.ts'

/** Every drill that applies, the keeper's own behind the others. */
export function allDrills(settled: Settled): Drill[] {
  const known = drillsOf(settled)
  const own = settled.design.drills.map((one) => chained(one, known))
  return [...known, ...own.filter((one) => one !== null)]
}

/** What every drill came to, worst first, and what the system survives. */
export interface Drilled {
  readonly verdicts: readonly Verdict[]
  readonly survival: Survival
}

/** Runs all of them, and every two single failures at once, one after the other. */
export function drillAll(settled: Settled): Drilled {
  const drills = allDrills(settled)
  const run = (drill: Drill) => verdictOf(runDrill(settled, drill))
  const verdicts = drills.map(run)
  const singles = singleFailures(drills)
  const ids = new Set(singles.map(({ id }) => id))
  return {
    verdicts: worstFirst(verdicts),
    survival: survivalOf(
      verdicts.filter(({ drillId }) => ids.has(drillId)),
      pairsOf(singles).map(run),
    ),
  }
}
