import type { Sentence } from '../quantity/index.ts'

/** What the drill of a question came to, beside what the steady state says of it. */
export interface DrillSaid {
  readonly outcome: 'wet' | 'watch' | 'dry'
  /** The margin that counts, m, and of what. */
  readonly marginM: number
  readonly marginOf: string
  readonly spilledM3: number
  readonly said: Sentence
}

/** The margin that counts, m: what its drill leaves, and never more than the steady state does; null: it spills. */
export function leftByDrill(
  steadyM: number | null,
  { outcome, marginM }: DrillSaid,
): number | null {
  return outcome === 'wet' ? null : Math.min(steadyM ?? Infinity, marginM)
}
