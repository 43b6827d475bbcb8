import { type Sentence, sentence } from '../quantity/index.ts'
import type { FindingCode } from './codes.ts'
import type { Finding } from './finding.ts'

/** Codes that the steady state answers at once, and a drill of the same question more surely. */
const DRILLED = [
  'outage-held',
  'outage-elsewhere',
  'sump-too-small',
  'siphon-may-not-start',
  'blocked-pipe-held',
  'emergency-cannot-carry',
  'joined-drains',
  'check-valve-only-guard',
  'hung-loses-prime',
] as const satisfies readonly FindingCode[]

/** One of them. */
export type DrilledCode = (typeof DRILLED)[number]

/** All of them. */
export const DRILLED_CODES: ReadonlySet<FindingCode> = new Set(DRILLED)

/** What a drill of a finding's own question came to. */
export interface DrillWord {
  readonly title: Sentence
  readonly outcome: 'wet' | 'watch' | 'dry'
  readonly said: Sentence
  readonly spilledM3: number
  /** Why nothing reaches the floor though the steady state would; null: nothing in particular. */
  readonly why: Sentence | null
}

/**
 * A finding with its drills' word: where one ends wet there is no *fine* and no *watch*, and where none
 * does there is no *stop*. One sentence says both what would be and what is.
 */
export function drilledFinding(finding: Finding, drills: readonly DrillWord[]): Finding {
  if (drills.length === 0) return finding
  const wet = drills.filter(({ outcome }) => outcome === 'wet')
  if (wet.length > 0 && finding.severity !== 'stop') {
    const worst = wet.reduce((a, b) => (b.spilledM3 > a.spilledM3 ? b : a))
    return {
      ...finding,
      severity: 'stop',
      title: sentence('{drill}: {said}', { drill: worst.title, said: worst.said }),
      reason: sentence('As long as the water stands as it runs it would hold: {said}', {
        said: finding.title,
      }),
    }
  }
  if (wet.length > 0 || finding.severity !== 'stop') return finding
  const why = drills.find((drill) => drill.why)?.why ?? drills[0]!.said
  return {
    ...finding,
    severity: 'watch',
    title: sentence('{said}, but {why}', { said: finding.title, why }),
  }
}
