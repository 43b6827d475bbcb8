import type { SteadyState } from '../loop/index.ts'
import type { Drill } from './fault.ts'
import { type Playback, playbackOf } from './playback.ts'
import { simulateDrill } from './simulate-drill.ts'
import { type Verdict, verdictOf } from './verdict.ts'

/** What one drill comes to, from a system at rest. */
export const drillVerdict = (steady: SteadyState, drill: Drill): Verdict =>
  verdictOf(simulateDrill(steady, drill))

/** One drill moment by moment, to be played. */
export const playDrill = (steady: SteadyState, drill: Drill): Playback =>
  playbackOf(simulateDrill(steady, drill, { keepsMoments: true }))
