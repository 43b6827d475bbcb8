/** What a search that worked returns: the answer and what it cost. */
export interface Converged<T> {
  readonly ok: true
  readonly value: T
  readonly iterations: number
}

/** What a search that did not work returns: why, in a code a caller can act on. */
export interface NotConverged<Reason extends string> {
  readonly ok: false
  readonly reason: Reason
  readonly iterations: number
}

/** Expected failure is a value; misuse (a NaN bound, an empty table) throws. */
export type Outcome<T, Reason extends string> = Converged<T> | NotConverged<Reason>

/** A search that found its value. */
export function converged<T>(value: T, iterations: number): Converged<T> {
  return { ok: true, value, iterations }
}

/** A search that gave up, and why. */
export function notConverged<Reason extends string>(
  reason: Reason,
  iterations: number,
): NotConverged<Reason> {
  return { ok: false, reason, iterations }
}
