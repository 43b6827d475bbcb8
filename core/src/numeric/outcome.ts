/** What a search that worked returns: the answer and what it cost. */
export interface Settled<T> {
  readonly ok: true
  readonly value: T
  readonly iterations: number
}

/** What a search that did not work returns: why, in a code a caller can act on. */
export interface Unsettled<Reason extends string> {
  readonly ok: false
  readonly reason: Reason
  readonly iterations: number
}

/** Expected failure is a value; misuse (a NaN bound, an empty table) throws. */
export type Outcome<T, Reason extends string> = Settled<T> | Unsettled<Reason>

export function settled<T>(value: T, iterations: number): Settled<T> {
  return { ok: true, value, iterations }
}

export function unsettled<Reason extends string>(
  reason: Reason,
  iterations: number,
): Unsettled<Reason> {
  return { ok: false, reason, iterations }
}
