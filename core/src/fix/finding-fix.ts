import {
  type Case,
  type Finding,
  type Occurrence,
  occurrencesIn,
  type Rule,
  type RuleWords,
  type Whole,
} from '../finding/index.ts'
import type { FixCandidate } from './fix.ts'
import type { Trial, Trials } from './trial.ts'

/** A change that may fix a finding. */
export type FindingCandidate = FixCandidate<Trial>

/** What fixes the findings of one rule. */
export interface FindingFixes {
  readonly rule: RuleWords
  readonly candidates: (occurrence: Occurrence, trials: Trials) => readonly FindingCandidate[]
  readonly helps: (occurrence: Occurrence, before: Whole, after: Trial) => boolean
}

/** What is particular to the fixes of one rule. */
interface More<Of, Fact> {
  /** Does it help? Left out: the finding, or one like it, must be gone. */
  readonly helps?: (of: Of, fact: Fact, after: Trial) => boolean
}

/** Fixes of a rule's findings; the case and the fact are those that the rule found. */
export function fixesFor<Of extends Case, Fact>(
  rule: Rule<Of, Fact>,
  candidates: (of: Of, fact: Fact, trials: Trials) => readonly FindingCandidate[],
  { helps }: More<Of, Fact> = {},
): FindingFixes {
  // An occurrence of a rule holds the case and the fact of that rule: the one place that relies on it.
  return {
    rule,
    candidates: ({ of, fact }, trials) => candidates(of as Of, fact as Fact, trials),
    helps: helps
      ? ({ of, fact }, _, after) => helps(of as Of, fact as Fact, after)
      : ({ finding }, before, after) =>
          countLike(after.whole, finding) < countLike(before, finding),
  }
}

/** How many findings of a design have the code and the severity of one. */
function countLike(whole: Whole, { code, severity }: Finding): number {
  return occurrencesIn(whole).filter(
    ({ finding }) => finding.code === code && finding.severity === severity,
  ).length
}
