import type { BasinDesign } from './design.ts'
import { findingsOf } from './finding/all.ts'
import type { Solving } from './finding/finding.ts'
import { settle } from './loop/settle.ts'
import { solveGravity } from './loop/solve-gravity.ts'
import { rulesOfThumb } from './rules-of-thumb.ts'
import { solveReturn } from './solve-return.ts'
import { solveTank, solveWater, tankVolumes } from './solve-tank.ts'
import type { SolvedReturn, SolvedTank } from './solved.ts'
import { roomsOf } from './treatment/place.ts'
import { solveTreatment } from './treatment/solve-treatment.ts'
import { leadOf, type SolvedBasin, type Totals } from './solved-basin.ts'

/**
 * Every figure and finding of a design, from one solved system. Pure: the same design gives the
 * same answer on the screen, in the command line and in a test.
 */
export function solveBasin(given: BasinDesign): SolvedBasin {
  const settled = settle(given)
  const { design, layout } = settled
  const water = solveWater(design.water)
  const volumes = design.tanks.map(tankVolumes)
  const netVolumeM3 = volumes.reduce((sum, tank) => sum + tank.netVolumeM3, 0)
  const { returnSide, intoTank } = solveReturn(settled, netVolumeM3)
  const tanks = design.tanks.map((tank, i) =>
    solveTank(tank, volumes[i]!, water.densityKgPerM3, intoTank(tank.id)),
  )
  const { overflows, drains, sump, loop } = solveGravity(settled, intoTank)
  const lead = leadOf({ returnSide })
  const rooms = roomsOf(given.sump)
  const treatment = solveTreatment(design, { tanks, overflows, sump, returnSide, rooms })
  const solving: Solving = {
    design,
    layout,
    settled,
    tanks,
    water,
    overflows,
    drains,
    sump,
    returnSide,
    treatment,
  }
  return {
    tanks,
    water,
    overflows,
    drains,
    sump,
    loop,
    returnSide,
    treatment,
    totals: totalsOf(tanks, returnSide),
    rulesOfThumb: rulesOfThumb(layout, lead, tanks[0]!.turnoverPerH),
    findings: findingsOf(solving),
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
