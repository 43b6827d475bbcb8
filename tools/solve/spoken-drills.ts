import {
  logWords,
  say,
  steadyState,
  type BasinDesign,
  type DrillOutcome,
  type Verdict,
} from '@yew-basin/core'
import { drillAll } from '@yew-basin/core/lab'

/** A drill's verdict with its sentences written out in metric units. */
export interface SpokenVerdict extends Omit<
  Verdict,
  'title' | 'said' | 'why' | 'act' | 'log' | 'unaccounted'
> {
  readonly title: string
  readonly said: string
  readonly why: string | null
  readonly act: string | null
  readonly log: readonly { readonly atS: number; readonly what: string }[]
  /** Water that the reckoning itself made or lost, as a share of all water. */
  readonly unaccountedShare: number
}

type Named = readonly {
  readonly drillId: string
  readonly title: string
  readonly spilledM3: number
}[]

/** What every drill came to, worst first, and what the system survives. */
export interface SpokenDrills {
  readonly verdicts: readonly SpokenVerdict[]
  readonly survival: {
    readonly single: Readonly<Record<DrillOutcome, number>>
    readonly double: Readonly<Record<DrillOutcome, number>>
    /** Pairs left out: so many lines make all of them take too long in one go; the application tries them with progress. */
    readonly untried: number
    readonly points: Named
    readonly pairs: Named
  }
}

export function spokenDrills(design: BasinDesign): SpokenDrills {
  const steady = steadyState(design)
  const { verdicts, survival } = drillAll(steady)
  const named = (list: typeof survival.points): Named =>
    list.map((one) => ({ ...one, title: say(one.title, 'metric') }))
  return {
    verdicts: verdicts.map(({ unaccounted, ...verdict }) => ({
      ...verdict,
      title: say(verdict.title, 'metric'),
      said: say(verdict.said, 'metric'),
      why: verdict.why && say(verdict.why, 'metric'),
      act: verdict.act && say(verdict.act, 'metric'),
      log: verdict.log.map((entry) => ({
        atS: entry.atS,
        what: say(logWords(steady.design, entry), 'metric'),
      })),
      unaccountedShare: unaccounted,
    })),
    survival: { ...survival, points: named(survival.points), pairs: named(survival.pairs) },
  }
}
