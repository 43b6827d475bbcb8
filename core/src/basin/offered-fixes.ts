import type { BasinDesign } from '../design/index.ts'
import type { Finding } from '../finding/index.ts'
import type { Drill, Verdict } from '../drill/index.ts'
import { type TriedFix, type OfferedFixes, searchDrillFixes, searchFixes } from '../fix/index.ts'
import { askDrills } from './last-word.ts'

/**
 * What fixes a finding of a design, each change tried by the judge and by the drills with the last
 * word before it is offered; `progress` is told how many of them were drilled.
 */
export function fixesOfFinding(
  given: BasinDesign,
  finding: Finding,
  progress?: (done: number, of: number) => void,
): OfferedFixes {
  return searchFixes(given, finding, askDrills, progress)
}

/** What fixes a drill of a design, tried by running it again. */
export function fixesOfDrill(given: BasinDesign, drill: Drill, verdict: Verdict): TriedFix[] {
  return searchDrillFixes(given, { drill, verdict }, askDrills)
}
