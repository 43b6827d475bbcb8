import {
  applyEdits,
  type BasinDesign,
  type Finding,
  type Fix,
  fixesOfFinding,
  lastWord,
} from '../../src/index.ts'
import { sameFinding } from '../../src/finding/index.ts'

/** Steps after which following must have ended. */
export const MOST_STEPS = 12

/** What came of following the first fix of the worst finding, again and again. */
export interface Followed {
  readonly design: BasinDesign
  readonly before: readonly Finding[]
  readonly after: readonly Finding[]
  /** What was applied, in order: of which code, and how many stops were left then. */
  readonly steps: readonly Step[]
  /** Stops that are left, none of which has a fix, or the steps ran out. */
  readonly left: readonly Finding[]
}

export interface Step {
  readonly code: string
  readonly fix: Fix
}

const isStop = ({ severity }: Finding) => severity === 'stop'

/** Follows fixes of stops until none is left; then, each once, those of watches. */
export function followFixes(given: BasinDesign): Followed {
  let design = given
  const before = lastWord.solveWithLastWord(design).findings
  let findings = before
  const steps: Step[] = []
  const takes = (finding: Finding): boolean => {
    const [fix] = fixesOfFinding(design, finding).fixes
    // A watch is not traded for another one.
    if (!fix || (!isStop(finding) && fix.come.length > fix.gone.length)) return false
    design = applyEdits(design, fix.edits)
    steps.push({ code: finding.code, fix })
    return true
  }
  while (steps.length < MOST_STEPS && findings.filter(isStop).some(takes)) {
    findings = lastWord.solveWithLastWord(design).findings
  }
  const left = findings.filter(isStop)
  const asked: Finding[] = []
  let after = findings
  while (steps.length < 2 * MOST_STEPS) {
    const next = after.find(
      (finding) =>
        finding.severity === 'watch' && !asked.some((other) => sameFinding(other, finding)),
    )
    if (!next) break
    asked.push(next)
    if (takes(next)) after = lastWord.solveWithLastWord(design).findings
  }
  return { design, before, after, steps, left }
}
