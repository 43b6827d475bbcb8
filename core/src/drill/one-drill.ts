import type { SteadyState } from '../loop/index.ts'
import { worstFirst } from './better.ts'
import type { Drill } from './fault.ts'
import { type Playback, playbackOf } from './playback.ts'
import { type DrillSimulation, simulateDrill, type SimulationOptions } from './simulate-drill.ts'
import { airAtS, type Verdict, verdictOf } from './verdict.ts'
import { type DoubtfulWays, FIRST_WAYS } from './ways.ts'

/** What one drill comes to, from a system at rest: both ways where nobody can tell, and the worse counts. */
export const drillVerdict = (steady: SteadyState, drill: Drill): Verdict =>
  worseWay(steady, drill).verdict

/** One drill moment by moment, to be played: the way that counts. */
export const playDrill = (steady: SteadyState, drill: Drill): Playback =>
  playbackOf(worseWay(steady, drill, { keepsMoments: true }).simulation)

/** A pump that draws air stays dry or gasps on, a doubtful siphon starts or not: the worst of all ways. */
function worseWay(steady: SteadyState, drill: Drill, options: SimulationOptions = {}): Tried {
  const tried: Tried[] = []
  const todo: DoubtfulWays[] = [FIRST_WAYS]
  for (const ways of todo) {
    const simulation = simulateDrill(steady, drill, { ...options, ways })
    const verdict = verdictOf(simulation)
    tried.push({ simulation, verdict })
    if (ways.air === 'stays-dry' && airAtS(simulation) !== null) {
      todo.push({ ...ways, air: 'gasps' })
    }
    if (ways.siphons === 'start' && ways.air === 'stays-dry' && filledPerhaps(simulation)) {
      todo.push({ ...ways, siphons: 'stay' })
    }
  }
  const [worst] = worstFirst(tried.map(({ verdict }) => verdict))
  return tried.find(({ verdict }) => verdict === worst)!
}

interface Tried {
  readonly simulation: DrillSimulation
  readonly verdict: Verdict
}

/** Did a siphon start again that might as well not have? */
function filledPerhaps({ log }: DrillSimulation): boolean {
  return log.some(({ what }) => 'event' in what && 'doubtful' in what.event && what.event.doubtful)
}
