import type { BasinDesign } from './design.ts'
import { findingsOf } from './finding/all.ts'
import { layOut } from './layout.ts'
import { rulesOfThumb } from './rules-of-thumb.ts'
import { solveReturn } from './solve-return.ts'
import { solveTank, solveWater } from './solve-tank.ts'
import type { SolvedBasin } from './solved-basin.ts'

/**
 * Every figure and finding of a design, from one solved system. Pure: the same design gives the
 * same answer on the screen, in the command line and in a test.
 */
export function solveBasin(design: BasinDesign): SolvedBasin {
  const layout = layOut(design)
  const water = solveWater(design)
  const tank = solveTank(design, water.densityKgPerM3)
  const returnSide = solveReturn(layout, tank.netVolumeM3)
  const figures = { tank, water, returnSide }
  return {
    ...figures,
    rulesOfThumb: rulesOfThumb(layout, returnSide),
    findings: findingsOf({ design, layout, ...figures }),
  }
}
