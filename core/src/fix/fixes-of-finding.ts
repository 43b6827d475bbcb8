import type { BasinDesign } from '../design/index.ts'
import { type Finding, occurrencesIn, sameFinding } from '../finding/index.ts'
import type { Sentence } from '../quantity/index.ts'
import { DRAIN_FIXES } from './drain-fixes.ts'
import type { FindingFixes } from './finding-fix.ts'
import type { Fix } from './fix.ts'
import { HEAT_FIXES } from './heat-fixes.ts'
import { JOINT_FIXES } from './joint-fixes.ts'
import { LINE_END_FIXES } from './line-end-fixes.ts'
import { LINE_FLOW_FIXES } from './line-flow-fixes.ts'
import { LINE_PIECE_FIXES } from './line-piece-fixes.ts'
import { OVERFLOW_FIXES } from './overflow-fixes.ts'
import { PUMP_FIXES } from './pump-fixes.ts'
import { SKIMMER_FIXES } from './skimmer-fixes.ts'
import { STERILIZER_FIXES } from './sterilizer-fixes.ts'
import { SUMP_FIXES } from './sump-fixes.ts'
import { TANK_FIXES } from './tank-fixes.ts'
import { Trial, Trials } from './trial.ts'

const REGISTRY: readonly FindingFixes[] = [
  ...TANK_FIXES,
  ...LINE_FLOW_FIXES,
  ...LINE_END_FIXES,
  ...LINE_PIECE_FIXES,
  ...JOINT_FIXES,
  ...PUMP_FIXES,
  ...OVERFLOW_FIXES,
  ...DRAIN_FIXES,
  ...SUMP_FIXES,
  ...SKIMMER_FIXES,
  ...STERILIZER_FIXES,
  ...HEAT_FIXES,
]

/** What fixes a finding. */
export interface OfferedFixes {
  /** Each tried, and found to help. */
  readonly fixes: readonly Fix[]
  /** What to do where none of them is left; null: the finding's reason says it all. */
  readonly otherwise: Sentence | null
}

const NOTHING: OfferedFixes = { fixes: [], otherwise: null }

/**
 * What fixes a finding of a design: every candidate is tried, and those that help are offered with
 * what they brought. Solves once for each candidate.
 */
export function fixesOfFinding(given: BasinDesign, finding: Finding): OfferedFixes {
  if (!REGISTRY.some(({ rule }) => rule.code === finding.code)) return NOTHING
  const before = new Trial(given)
  const occurrence = occurrencesIn(before.whole).find((found) =>
    sameFinding(found.finding, finding),
  )
  const own = REGISTRY.find(({ rule }) => rule === occurrence?.rule)
  if (!occurrence || !own) return NOTHING
  const trials = new Trials(given)
  const fixes = own
    .candidates(occurrence, trials)
    .filter(({ edits }) => own.helps(occurrence, before.whole, trials.of(edits)))
    .map(({ label, edits, brings }) => ({ label, edits, brings: brings(trials.of(edits)) }))
  return { fixes, otherwise: fixes.length > 0 ? null : own.otherwise }
}
