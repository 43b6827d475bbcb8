import type { SteadyState } from '../loop/index.ts'
import { netWater } from './gravity/net-water.ts'
import { solveGravity } from './gravity/solve-gravity.ts'
import type {
  RunningOverflow,
  RunningSump,
  SolvedDrain,
  SolvedLoop,
} from './gravity/solved-gravity.ts'
import { solveHeat } from './heat/solve-heat.ts'
import { solvePower } from './heat/solve-power.ts'
import type { SolvedHeat, SolvedPower } from './heat/solved-heat.ts'
import { leadOf } from './lead.ts'
import { solveReturn } from './return/solve-return.ts'
import type { SolvedReturn, SolvedTank, SolvedWater } from './return/solved.ts'
import { rulesOfThumb, type RulesOfThumb } from './rules-of-thumb.ts'
import { solveTank, solveWater, tankVolumes } from './solve-tank.ts'
import { clearancesOf } from './treatment/place.ts'
import { solveTreatment } from './treatment/solve-treatment.ts'
import type { SolvedTreatment } from './treatment/solved-treatment.ts'

/** What all tanks and lines come to. */
export interface Totals {
  readonly netVolumeM3: number
  readonly wantedFlowM3PerS: number
  /** null when there is no net water. */
  readonly wantedTurnoverPerH: number | null
  /** Of the tank that has least. */
  readonly leastFreeboardM: number
  /** In any line's pipe and fittings. */
  readonly fastestMPerS: number
}

/** Every figure of a steady state, SI; what may go wrong with it is judged above. */
export interface Figures {
  /** In the design's order. */
  readonly tanks: readonly SolvedTank[]
  readonly water: SolvedWater
  readonly totals: Totals
  /** Of the tanks that have one, in the design's order. */
  readonly overflows: readonly RunningOverflow[]
  readonly drains: readonly SolvedDrain[]
  readonly sump: RunningSump
  readonly loop: SolvedLoop
  readonly returnSide: SolvedReturn
  readonly treatment: SolvedTreatment
  /** null: the room is not set. */
  readonly heat: SolvedHeat | null
  readonly power: SolvedPower
  /** Of the line the design is known by. */
  readonly rulesOfThumb: RulesOfThumb
}

/** Every figure of a steady state. */
export function figuresOf(steady: SteadyState): Figures {
  const { design, layout } = steady
  const water = solveWater(design.water)
  const volumes = design.tanks.map(tankVolumes)
  const netVolumeM3 = volumes.reduce((sum, tank) => sum + tank.netVolumeM3, 0)
  const { returnSide, intoTank } = solveReturn(steady, netVolumeM3)
  const tanks = design.tanks.map((tank, i) =>
    solveTank(tank, volumes[i]!, water.densityKgPerM3, intoTank(tank.id)),
  )
  const { overflows, drains, sump, loop } = solveGravity(steady, intoTank, returnSide)
  const clearances = clearancesOf(steady.given.sump)
  const treatment = solveTreatment(design, {
    water: netWater(steady),
    sump,
    returnSide,
    clearances,
  })
  const heat = solveHeat(steady, treatment.load, returnSide)
  return {
    tanks,
    water,
    overflows,
    drains,
    sump,
    loop,
    returnSide,
    treatment,
    heat,
    power: solvePower(design, returnSide, heat),
    totals: totalsOf(tanks, returnSide),
    rulesOfThumb: rulesOfThumb(layout, leadOf({ returnSide }), tanks[0]!.turnoverPerH),
  }
}

const HOUR_S = 3600

function totalsOf(tanks: readonly SolvedTank[], { lines }: SolvedReturn): Totals {
  const sum = (of: 'netVolumeM3' | 'wantedFlowM3PerS') =>
    tanks.reduce((total, tank) => total + tank[of], 0)
  const netVolumeM3 = sum('netVolumeM3')
  const wantedFlowM3PerS = sum('wantedFlowM3PerS')
  return {
    netVolumeM3,
    wantedFlowM3PerS,
    wantedTurnoverPerH: netVolumeM3 > 0 ? (wantedFlowM3PerS * HOUR_S) / netVolumeM3 : null,
    leastFreeboardM: Math.min(...tanks.map((tank) => tank.freeboardM)),
    fastestMPerS: Math.max(...lines.map((line) => line.fastestMPerS)),
  }
}
