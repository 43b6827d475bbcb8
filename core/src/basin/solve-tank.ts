import { specificGravity } from '../fluid/density.ts'
import { conductivityMSPerCm } from '../fluid/salinity.ts'
import { waterAt } from '../fluid/water.ts'
import { grossVolumeM3, rockVolumeM3, sandDepthM, sandVolumeM3 } from '../tank/volume.ts'
import { surfaceM, type BasinDesign, type DisplayTank } from './design.ts'
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

/** A tank before it is known what its lines bring. */
export type StillTank = Omit<
  SolvedTank,
  'flowM3PerS' | 'flowBandM3PerS' | 'turnoverPerH' | 'turnoverBandPerH'
>

export function solveTank(tank: DisplayTank, densityKgPerM3: number): StillTank {
  const { displacement } = tank
  const gross = grossVolumeM3(tank)
  const rock = rockVolumeM3(displacement)
  const sand = sandVolumeM3(displacement)
  const net = Math.max(0, gross - rock - sand)
  return {
    tankId: tank.id,
    grossVolumeM3: gross,
    rockVolumeM3: rock,
    sandVolumeM3: sand,
    sandDepthM: sandDepthM(tank, displacement),
    netVolumeM3: net,
    freeboardM: tank.rimM - tank.waterLevelM,
    contentsMassKg: net * densityKgPerM3 + displacement.rockMassKg + displacement.sandMassKg,
    wantedFlowM3PerS: (tank.turnoverPerH * net) / HOUR_S,
    surfaceM: surfaceM(tank),
  }
}

/** The tank with what its lines bring. */
export function fedTank(
  still: StillTank,
  { flowM3PerS, flowBandM3PerS }: { flowM3PerS: number; flowBandM3PerS: number },
): SolvedTank {
  const perVolume = still.netVolumeM3 > 0 ? HOUR_S / still.netVolumeM3 : null
  return {
    ...still,
    flowM3PerS,
    flowBandM3PerS,
    turnoverPerH: perVolume === null ? null : flowM3PerS * perVolume,
    turnoverBandPerH: perVolume === null ? null : flowBandM3PerS * perVolume,
  }
}
