import { specificGravity } from '../fluid/density.ts'
import { conductivityMSPerCm } from '../fluid/salinity.ts'
import { waterAt } from '../fluid/water.ts'
import { grossVolumeM3, rockVolumeM3, sandDepthM, sandVolumeM3 } from '../tank/volume.ts'
import { tankSurfaceM, type BasinDesign } from './design.ts'
import type { SolvedTank, SolvedWater } from './solved.ts'

const HOUR_S = 3600

export function solveWater({ water: reading }: BasinDesign): SolvedWater {
  const { salinityPpt, temperatureC } = reading
  const conductivity = conductivityMSPerCm(salinityPpt, temperatureC)
  return {
    ...waterAt(reading),
    specificGravity: specificGravity(salinityPpt, temperatureC),
    conductivityMSPerCm: Number.isNaN(conductivity) ? null : conductivity,
  }
}

export function solveTank(design: BasinDesign, densityKgPerM3: number): SolvedTank {
  const { tank, displacement, target } = design
  const gross = grossVolumeM3(tank)
  const rock = rockVolumeM3(displacement)
  const sand = sandVolumeM3(displacement)
  const net = Math.max(0, gross - rock - sand)
  return {
    grossVolumeM3: gross,
    rockVolumeM3: rock,
    sandVolumeM3: sand,
    sandDepthM: sandDepthM(tank, displacement),
    netVolumeM3: net,
    freeboardM: tank.rimM - tank.waterLevelM,
    contentsMassKg: net * densityKgPerM3 + displacement.rockMassKg + displacement.sandMassKg,
    wantedFlowM3PerS: (target.turnoverPerH * net) / HOUR_S,
    surfaceM: tankSurfaceM(design),
  }
}
