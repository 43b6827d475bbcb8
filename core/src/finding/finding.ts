import type { Sentence } from '../quantity/index.ts'
import type { FindingCode } from './codes.ts'
import type { Station, Severity } from './severity.ts'

/** What a finding is about; null: not about one of these. */
export interface Where {
  readonly tankId: string | null
  readonly lineId: string | null
  /** A piece of that line. */
  readonly pieceId: string | null
  readonly drainId: string | null
  readonly chamberId: string | null
  readonly deviceId: string | null
}

/** Something found of a design by one rule. */
export interface Finding extends Where {
  readonly code: FindingCode
  readonly severity: Severity
  readonly station: Station
  /** What is so. */
  readonly title: Sentence
  /** Why it is so. */
  readonly reason: Sentence
}

/** Are two findings about the same thing, said by the same rule? */
export function sameFinding(a: Finding, b: Finding): boolean {
  return alikeFinding(a, b) && a.pieceId === b.pieceId
}

/** The same but for the piece, which a change may have put in anew. */
export function alikeFinding(a: Finding, b: Finding): boolean {
  return (
    a.code === b.code &&
    a.tankId === b.tankId &&
    a.lineId === b.lineId &&
    a.drainId === b.drainId &&
    a.chamberId === b.chamberId &&
    a.deviceId === b.deviceId
  )
}
