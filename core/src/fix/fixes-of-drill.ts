import type { BasinDesign } from '../design/index.ts'
import { allDrills, type Drill, isBetter, type Verdict, drillVerdict } from '../drill/index.ts'
import type { SteadyState } from '../loop/index.ts'
import { sentence } from '../quantity/index.ts'
import { drillCandidates } from './drill-candidates.ts'
import { findingDifferences, titlesOf } from './differences.ts'
import type { TriedFix } from './fix.ts'
import { type AskDrills, Trials } from './trial.ts'

/** So many are offered at most; those that leave the floor dry come first (choice). */
const MOST_OFFERED = 4

/**
 * What fixes a drill of a design: every candidate is tried by running the drill again, and those
 * that make it better, and bring no new stop, are offered with what it then comes to.
 */
export function searchDrillFixes(
  given: BasinDesign,
  { drill, verdict }: { readonly drill: Drill; readonly verdict: Verdict },
  ask: AskDrills,
): TriedFix[] {
  const trials = new Trials(given, ask)
  const offered: { readonly fix: TriedFix; readonly dry: boolean }[] = []
  for (const { label, edits } of drillCandidates(trials.before.whole, drill, verdict)) {
    if (offered.filter(({ dry }) => dry).length >= MOST_OFFERED) break
    const trial = trials.of(edits)
    const { gone, come, newStop } = findingDifferences(trials.before.findings, trial.findings)
    if (newStop) continue
    const after = verdictAfter(trial.steady, drill.id)
    if (after && !isBetter(after, verdict)) continue
    const brings = after?.said ?? NO_LONGER
    offered.push({
      fix: { label, edits: trial.edits, brings, gone: titlesOf(gone), come: titlesOf(come) },
      dry: after?.outcome !== 'wet',
    })
  }
  return offered
    .sort((a, b) => Number(b.dry) - Number(a.dry))
    .slice(0, MOST_OFFERED)
    .map(({ fix }) => fix)
}

const NO_LONGER = sentence('This can no longer happen.')

/** What a drill comes to in another design; null: it does not apply to that one. */
function verdictAfter(steady: SteadyState, drillId: string): Verdict | null {
  const drill = allDrills(steady).find(({ id }) => id === drillId)
  return drill ? drillVerdict(steady, drill) : null
}
