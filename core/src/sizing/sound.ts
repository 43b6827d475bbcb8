import { lastWord, solveBasin } from '../basin/index.ts'
import { applyEdits, type BasinDesign, type Edit } from '../design/index.ts'
import { matchEdits } from '../editing/index.ts'
import { type Finding, alikeFinding, wholeOf } from '../finding/index.ts'
import { figuresOf } from '../figures/index.ts'
import { judged } from '../judge/index.ts'
import { type SteadyState, steadyState } from '../loop/index.ts'

/** Is an option as sound as the design is now: no stop that was none, no drill wet that was dry? Runs its drills. */
export function soundness(design: BasinDesign): (edits: readonly Edit[]) => boolean {
  const before = askedOf(design)
  return (edits) => {
    const changed = applyEdits(design, edits)
    const after = askedOf(applyEdits(changed, matchEdits(changed)))
    const isNew = (finding: Finding) =>
      finding.severity === 'stop' &&
      !before.findings.some((other) => other.severity === 'stop' && alikeFinding(other, finding))
    return !after.findings.some(isNew) && ![...after.wet].some((id) => !before.wet.has(id))
  }
}

function askedOf(design: BasinDesign) {
  return lastWord.askDrills(wholeAt(steadyState(design)), solveBasin(design).findings)
}

const wholeAt = (steady: SteadyState) => wholeOf(steady, judged(steady, figuresOf(steady)))
