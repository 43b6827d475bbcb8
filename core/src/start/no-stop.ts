import { askables, sameFigure } from '../assumed/index.ts'
import { fixesOfFinding, lastWord } from '../basin/index.ts'
import { applyEdits, type BasinDesign } from '../design/index.ts'
import { withFollowing } from '../editing/index.ts'
import type { Finding } from '../finding/index.ts'

/** Fixes in a row at most. */
const MOST = 12

/**
 * A laid design with its stops fixed, the worst first, by changes of what was not given alone: no
 * answer of the keeper's is touched. Where a stop is left, only his answers can mend it.
 */
export function withoutStops(
  laid: BasinDesign,
  progress: (done: number, of: number) => void = () => undefined,
): BasinDesign {
  let design = laid
  const givenUp = new Set<string>()
  for (let n = 0; n < MOST; n++) {
    progress(n, MOST)
    const { findings } = lastWord.solveWithLastWord(design)
    const stop = findings.find(
      (finding) => finding.severity === 'stop' && !givenUp.has(subjectOf(finding)),
    )
    if (!stop) return design
    const fixed = fixedBy(design, stop)
    if (fixed) design = fixed
    else givenUp.add(subjectOf(stop))
  }
  return design
}

const subjectOf = ({ code, title }: Finding) => `${code} ${JSON.stringify(title)}`

/** The design with the first fix of a finding that leaves what was given as it is. */
function fixedBy(design: BasinDesign, finding: Finding): BasinDesign | null {
  const assumed = new Set(design.assumed)
  const given = askables(design).filter(({ name }) => !assumed.has(name))
  for (const { edits } of fixesOfFinding(design, finding).fixes) {
    const after = applyEdits(design, withFollowing(design, edits))
    const now = new Map(askables(after).map(({ name, value }) => [name, value]))
    const isTouched = given.some(({ name, value }) => !sameFigure(now.get(name), value))
    if (!isTouched) return after
  }
  return null
}
