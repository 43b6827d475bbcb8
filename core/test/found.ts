import { buildFindings } from '../src/basin/building.ts'
import { solveBasin } from '../src/basin/solve.ts'
import type { BasinDesign } from '../src/design/design.ts'
import { applyEdits } from '../src/design/edit.ts'
import type { FindingCode } from '../src/finding/codes.ts'
import type { Finding } from '../src/finding/finding.ts'
import type { Fix } from '../src/fix/fix.ts'
import { type OfferedFixes, searchFixes } from '../src/fix/index.ts'

/** All that is found of a design, as it runs and as it is built. */
export const allFindings = (design: BasinDesign): readonly Finding[] => [
  ...solveBasin(design).findings,
  ...buildFindings(design),
]

/** The finding of a code in a design; a test that looks for one that is not there says what is. */
export function findingOf(design: BasinDesign, code: FindingCode): Finding {
  const findings = allFindings(design)
  const found = findings.find((finding) => finding.code === code)
  if (!found)
    throw new Error(`no ${code} among ${findings.map((finding) => finding.code).join(', ')}`)
  return found
}

/** What is offered to fix it, tried by the steady state alone: drills have tests of their own, and take long. */
export const steadyFixes = (design: BasinDesign, finding: Finding): OfferedFixes =>
  searchFixes(design, finding, (_, findings) => ({ findings, wet: new Set() }))

/** What is offered to fix it. */
export const fixesOf = (design: BasinDesign, code: FindingCode): readonly Fix[] =>
  steadyFixes(design, findingOf(design, code)).fixes

/** The design with a finding's n-th fix applied. */
export function fixed(design: BasinDesign, code: FindingCode, n = 0): BasinDesign {
  const fix = fixesOf(design, code)[n]
  if (!fix) throw new Error(`${code} has no fix ${n}`)
  return applyEdits(design, fix.edits)
}
