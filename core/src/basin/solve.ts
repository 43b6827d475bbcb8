import type { BasinDesign } from './design.ts'
import { findingsOf } from './finding/all.ts'
import { layOut } from './layout/layout.ts'
import { rulesOfThumb } from './rules-of-thumb.ts'
import { leadLine, solveReturn } from './solve-return.ts'
import { fedTank, solveTank, solveWater } from './solve-tank.ts'
import type { SolvedBasin } from './solved-basin.ts'

/**
 * Every figure and finding of a design, from one solved system. Pure: the same design gives the
 * same answer on the screen, in the command line and in a test.
 */
export function solveBasin(design: BasinDesign): SolvedBasin {
  const layout = layOut(design)
  const water = solveWater(design)
  const still = design.tanks.map((tank) => solveTank(tank, water.densityKgPerM3))
  const netVolumeM3 = still.reduce((sum, tank) => sum + tank.netVolumeM3, 0)
  const { returnSide, intoTank } = solveReturn(design, layout, netVolumeM3)
  const tanks = still.map((tank) => fedTank(tank, intoTank(tank.tankId)))
  const figures = { tanks, water, returnSide }
  const lead = leadLine(design, returnSide.lines)
  return {
    ...figures,
    rulesOfThumb: rulesOfThumb(layout, lead, tanks[0]!.turnoverPerH),
    findings: findingsOf({ design, layout, ...figures }),
  }
}
