/** What the reference loop takes on this project's machine while nothing else runs, ms. */
export const QUIET_REFERENCE_MS = 0.2

const STEPS = 20_000

/** Arithmetic that never changes: how fast the machine is while something else is timed. */
export function referenceLoop(): number {
  let x = 0.5
  for (let i = 1; i <= STEPS; i++) x = Math.sqrt(x * x + 1 / i) * 0.999
  return x
}

/** A time as it would be while the machine is quiet, by what the reference loop took beside it. */
export function quietMs(ms: number, referenceMs: number): number {
  return (ms * QUIET_REFERENCE_MS) / referenceMs
}
