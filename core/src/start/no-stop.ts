import { askables, sameFigure } from '../assumed/index.ts'
import { building, fixesOfFinding, lastWord } from '../basin/index.ts'
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
    const isOpen = (finding: Finding) =>
      finding.severity === 'stop' && !givenUp.has(subjectOf(finding))
    const stop =
      lastWord.solveWithLastWord(design).findings.find(isOpen) ??
      building.buildFindings(design).find(isOpen)
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
  const before = askables(design)
  const given = before.filter(({ name }) => !assumed.has(name))
  for (const { edits } of fixesOfFinding(design, finding).fixes) {
    const after = applyEdits(design, withFollowing(design, edits))
    const now = askables(after)
    const values = new Map(now.map(({ name, value }) => [name, value]))
    const isTouched = given.some(({ name, value }) => !sameFigure(values.get(name), value))
    if (isTouched) continue
    // What a fix puts in was not given either.
    const known = new Set(before.map(({ name }) => name))
    const names = now.map(({ name }) => name)
    return { ...after, assumed: names.filter((name) => assumed.has(name) || !known.has(name)) }
  }
  return null
}
