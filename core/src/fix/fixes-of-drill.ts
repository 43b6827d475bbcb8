import { applyEdits, type BasinDesign } from '../design/index.ts'
import { allDrills, type Drill, isBetter, type Verdict, drillVerdict } from '../drill/index.ts'
import { steadyState } from '../loop/index.ts'
import { sentence } from '../quantity/index.ts'
import { drillCandidates } from './drill-candidates.ts'
import type { Fix } from './fix.ts'

/**
 * What fixes a drill of a design: every candidate is tried by running the drill again, and those
 * that make it better are offered with what it then comes to. Solves once for each candidate.
 */
export function fixesOfDrill(given: BasinDesign, drill: Drill, verdict: Verdict): Fix[] {
  return drillCandidates(steadyState(given), drill, verdict).flatMap(({ label, edits }): Fix[] => {
    const after = verdictAfter(applyEdits(given, edits), drill.id)
    if (after && !isBetter(after, verdict)) return []
    return [{ label, edits, brings: after?.said ?? NO_LONGER }]
  })
}

const NO_LONGER = sentence('This can no longer happen.')

/** What a drill comes to in another design; null: it does not apply to that one. */
function verdictAfter(given: BasinDesign, drillId: string): Verdict | null {
  const steady = steadyState(given)
  const drill = allDrills(steady).find(({ id }) => id === drillId)
  return drill ? drillVerdict(steady, drill) : null
}
