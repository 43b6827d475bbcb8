import type { Sentence } from '../quantity/index.ts'
import type { Drill } from './fault.ts'
import { together } from './own-drill.ts'
import type { DrillOutcome, Verdict } from './verdict.ts'

/** What can fail by itself: one thing at once, and no power cut's history. */
export function singleFailures(drills: readonly Drill[]): Drill[] {
  return drills.filter(({ isSingle }) => isSingle)
}

/** Every two of them at once; a pair that names one thing twice is no pair. */
export function pairsOf(singles: readonly Drill[]): Drill[] {
  const kinds = ({ faults }: Drill) => faults.map(({ fault }) => JSON.stringify(fault))
  return singles.flatMap((a, i) =>
    singles
      .slice(i + 1)
      .filter((b) => !kinds(a).some((kind) => kinds(b).includes(kind)))
      .map((b) => together(a, b)),
  )
}

/** What the system survives, by one failure and by two. */
export interface Survival {
  readonly single: Readonly<Record<DrillOutcome, number>>
  readonly double: Readonly<Record<DrillOutcome, number>>
  /** Failures that alone put water on the floor. */
  readonly points: readonly Wetting[]
  /** Pairs that were not tried: too many at once for a design of so many lines. */
  readonly untried: number
  /** Pairs that do, though neither does alone. */
  readonly pairs: readonly Wetting[]
}

/** A drill that wets the floor, and with how much. */
export interface Wetting {
  readonly drillId: string
  readonly title: Sentence
  readonly spilledM3: number
}

/**
 * @param pairs the drills whose verdicts are `double`
 * @param untried how many pairs there are besides
 */
export function survivalOf(
  single: readonly Verdict[],
  double: readonly Verdict[],
  pairs: readonly Drill[],
  untried = 0,
): Survival {
  const parts = new Map(pairs.map(({ id, parts }) => [id, parts]))
  const wetAlone = new Set(
    single.filter(({ outcome }) => outcome === 'wet').map(({ drillId }) => drillId),
  )
  const named = ({ drillId, title, spilledM3 }: Verdict) => ({ drillId, title, spilledM3 })
  return {
    single: counted(single),
    double: counted(double),
    untried,
    points: single.filter(({ outcome }) => outcome === 'wet').map(named),
    pairs: double
      .filter(
        ({ outcome, drillId }) =>
          outcome === 'wet' && !parts.get(drillId)!.some((partId) => wetAlone.has(partId)),
      )
      .map(named),
  }
}

function counted(verdicts: readonly Verdict[]): Record<DrillOutcome, number> {
  const counts = { wet: 0, watch: 0, dry: 0 }
  for (const { outcome } of verdicts) counts[outcome]++
  return counts
}
