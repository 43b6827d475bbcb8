import { type DisplayTank, surfaceM } from '../design/index.ts'
import { conductivityMSPerCm, specificGravity, waterAt, type WaterReading } from '../fluid/index.ts'
import { memoize } from '../numeric/index.ts'
import { grossVolumeM3, rockVolumeM3, sandDepthM, sandVolumeM3 } from '../tank/index.ts'
import type { SolvedTank, SolvedWater } from './return/solved.ts'

const HOUR_S = 3600

/** Density and viscosity of the keeper's water, with how far each is known. */
export const solveWater = memoize((reading: WaterReading): SolvedWater => {
  const { salinityPpt, temperatureC } = reading
  const conductivity = conductivityMSPerCm(salinityPpt, temperatureC)
  return {
    ...waterAt(reading),
    specificGravity: specificGravity(salinityPpt, temperatureC),
    conductivityMSPerCm: Number.isNaN(conductivity) ? null : conductivity,
  }
})

/** What is in a tank. */
export type TankVolumes = Pick<
  SolvedTank,
  'grossVolumeM3' | 'rockVolumeM3' | 'sandVolumeM3' | 'netVolumeM3'
>

/** Gross and net water of a tank by its inside sizes, m³. */
export function tankVolumes(tank: DisplayTank): TankVolumes {
  const gross = grossVolumeM3(tank)
  const rock = rockVolumeM3(tank.displacement)
  const sand = sandVolumeM3(tank.displacement)
  return {
    grossVolumeM3: gross,
    rockVolumeM3: rock,
    sandVolumeM3: sand,
    netVolumeM3: Math.max(0, gross - rock - sand),
  }
}

/** A tank with what its lines bring. */
export function solveTank(
  tank: DisplayTank,
  volumes: TankVolumes,
  densityKgPerM3: number,
  { flowM3PerS, flowBandM3PerS }: { flowM3PerS: number; flowBandM3PerS: number },
): SolvedTank {
  const { displacement } = tank
  const { grossVolumeM3: gross, rockVolumeM3: rock, sandVolumeM3: sand, netVolumeM3: net } = volumes
  const perVolume = net > 0 ? HOUR_S / net : null
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
    flowM3PerS,
    flowBandM3PerS,
    turnoverPerH: perVolume === null ? null : flowM3PerS * perVolume,
    turnoverBandPerH: perVolume === null ? null : flowBandM3PerS * perVolume,
  }
}
