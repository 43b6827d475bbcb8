import type { SteadyState } from '../loop/index.ts'
import { worstFirst } from './better.ts'
import type { Drill } from './fault.ts'
import { type Playback, playbackOf } from './playback.ts'
import { type DrillSimulation, simulateDrill, type SimulationOptions } from './simulate-drill.ts'
import { airAtS, type Verdict, verdictOf } from './verdict.ts'

/** What one drill comes to, from a system at rest: both ways where nobody can tell, and the worse counts. */
export const drillVerdict = (steady: SteadyState, drill: Drill): Verdict =>
  worseWay(steady, drill).verdict

/** One drill moment by moment, to be played: the way that counts. */
export const playDrill = (steady: SteadyState, drill: Drill): Playback =>
  playbackOf(worseWay(steady, drill, { keepsMoments: true }).simulation)

/** A pump that draws air stays dry or gasps on: the worse of the two. */
function worseWay(
  steady: SteadyState,
  drill: Drill,
  options: SimulationOptions = {},
): { readonly simulation: DrillSimulation; readonly verdict: Verdict } {
  const dry = simulateDrill(steady, drill, options)
  const ofDry = verdictOf(dry)
  if (airAtS(dry) === null) return { simulation: dry, verdict: ofDry }
  const gasping = simulateDrill(steady, drill, { ...options, ways: { air: 'gasps' } })
  const ofGasping = verdictOf(gasping)
  return worstFirst([ofDry, ofGasping])[0] === ofDry
    ? { simulation: dry, verdict: ofDry }
    : { simulation: gasping, verdict: ofGasping }
}
