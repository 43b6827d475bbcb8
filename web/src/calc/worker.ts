import {
  balance,
  mendsOf,
  playbackOf,
  runDrill,
  steadyState,
  size,
  verdictOf,
  type BasinDesign,
  type Drill,
  type FlowTarget,
  type Mend,
  type Playback,
  type SizingAnswer,
  type SizingWish,
  type Verdict,
} from '@yew-basin/core'
import { expose } from 'comlink'

/** What a drill came to, and what may mend it. */
export interface Drilled {
  readonly verdict: Verdict
  readonly mends: readonly Mend[]
}

/** Core's long searches, off the page's thread. */
const calc = {
  balance: (design: BasinDesign, targets: readonly FlowTarget[], pumpIndex: number) =>
    balance(design, targets, pumpIndex),
  size: (wish: SizingWish, progress: (done: number, of: number) => void): SizingAnswer =>
    size(wish, () => crypto.randomUUID(), progress),
  drills: (design: BasinDesign, drills: readonly Drill[]): Drilled[] => {
    const steady = steadyState(design)
    return drills.map((drill) => {
      const run = runDrill(steady, drill)
      const verdict = verdictOf(run)
      return { verdict, mends: mendsOf(steady, run, verdict) }
    })
  },
  play: (design: BasinDesign, drill: Drill): Playback =>
    playbackOf(runDrill(steadyState(design), drill, { keepsMoments: true })),
}
export type Calc = typeof calc

expose(calc)
