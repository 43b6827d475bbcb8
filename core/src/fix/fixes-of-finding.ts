import type { BasinDesign } from '../design/index.ts'
import { BUILD_CODES, type Finding, occurrencesIn, sameFinding } from '../finding/index.ts'
import type { Sentence } from '../quantity/index.ts'
import { BUILD_FIXES } from './build-fixes.ts'
import { DEVICE_FIXES } from './device-fixes.ts'
import { DRAIN_FIXES } from './drain-fixes.ts'
import type { FindingFixes } from './finding-fix.ts'
import type { TriedFix } from './fix.ts'
import { HEAT_FIXES } from './heat-fixes.ts'
import { JOINT_FIXES } from './joint-fixes.ts'
import { LINE_END_FIXES } from './line-end-fixes.ts'
import { LINE_FLOW_FIXES } from './line-flow-fixes.ts'
import { LINE_PIECE_FIXES } from './line-piece-fixes.ts'
import { OTHERWISE } from './otherwise.ts'
import { OVERFLOW_FIXES } from './overflow-fixes.ts'
import { PUMP_FIXES } from './pump-fixes.ts'
import { SKIMMER_FIXES } from './skimmer-fixes.ts'
import { STERILIZER_FIXES } from './sterilizer-fixes.ts'
import { SUMP_FIXES } from './sump-fixes.ts'
import { PLACE_FIXES } from './place-fixes.ts'
import { POWER_CUT_FIXES } from './power-cut-fixes.ts'
import { WAY_DOWN_FIXES } from './way-down-fixes.ts'
import { TANK_FIXES } from './tank-fixes.ts'
import { FixSearch, type TriesDone } from './search.ts'
import { type AskDrills, Trials } from './trial.ts'

const REGISTRY: readonly FindingFixes[] = [
  ...TANK_FIXES,
  ...LINE_FLOW_FIXES,
  ...LINE_END_FIXES,
  ...LINE_PIECE_FIXES,
  ...JOINT_FIXES,
  ...PUMP_FIXES,
  ...OVERFLOW_FIXES,
  ...DRAIN_FIXES,
  ...WAY_DOWN_FIXES,
  ...PLACE_FIXES,
  ...POWER_CUT_FIXES,
  ...SUMP_FIXES,
  ...DEVICE_FIXES,
  ...SKIMMER_FIXES,
  ...STERILIZER_FIXES,
  ...HEAT_FIXES,
  ...BUILD_FIXES,
]

/** What fixes a finding. */
export interface OfferedFixes {
  /** Each tried, and found to help. */
  readonly fixes: readonly TriedFix[]
  /** What to do where none of them is left; null: the finding's reason says it all. */
  readonly otherwise: Sentence | null
}

const NOTHING: OfferedFixes = { fixes: [], otherwise: null }

/**
 * What fixes a finding of a design: changes are tried until one mends, alone or two together, by the
 * judge and then by the drills; those that hold are offered with what they brought.
 */
export function searchFixes(
  given: BasinDesign,
  finding: Finding,
  ask: AskDrills,
  progress?: TriesDone,
): OfferedFixes {
  // What is fine wants no fix, and nothing would have to change.
  if (finding.severity === 'fine') return NOTHING
  const byHand = OTHERWISE[finding.code] ?? null
  if (!REGISTRY.some(({ rule }) => rule.code === finding.code)) {
    return { fixes: [], otherwise: byHand }
  }
  const trials = new Trials(given, ask, BUILD_CODES.has(finding.code))
  const occurrence = occurrencesIn(trials.before.whole).find((found) =>
    sameFinding(found.finding, finding),
  )
  const own = REGISTRY.find(({ rule }) => rule === occurrence?.rule)
  if (!occurrence || !own) return NOTHING
  const fixes = new FixSearch(trials, finding, { own, registry: REGISTRY }).fixes(progress)
  return { fixes, otherwise: fixes.length > 0 ? null : byHand }
}
