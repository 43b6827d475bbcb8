import {
  airAt,
  type BasinDesign,
  type Device,
  evaporationMmPerDay,
  type HeatPlan,
  standsInWater,
} from '../../design/index.ts'
import { waterAt } from '../../fluid/index.ts'
import {
  conductanceWPerK,
  evaporationOfHeatM3PerS,
  heaterWork,
  heatOfEvaporationW,
  leavesByAirW,
  LIGHT_INTO_WATER,
  MONTH_S,
  lossesW,
  type Surfaces,
  temperatureAtC,
  timeToTemperatureS,
  type WarmWater,
  warmingKPerS,
} from '../../heat/index.ts'
import type { SteadyState } from '../../loop/index.ts'
import { meanCubeLevel, powerAtW } from '../../scene/index.ts'
import { evaporationM3PerS } from '../../sump/index.ts'
import type { SolvedReturn } from '../return/solved.ts'
import { devicePowerW, isThermostatic } from '../treatment/solve-devices.ts'
import type { SolvedLoad } from '../treatment/solved-treatment.ts'
import type { HeaterFailure, HeatInRoom, SolvedHeat } from './solved-heat.ts'
import { surfacesOf } from './surfaces.ts'

/** Too warm for what lives there; the hours to it are what a keeper has (choice). */
const TOO_WARM_C = 30
/** Too cold for it (choice). */
const TOO_COLD_C = 22
/** How well losses are known: U values of still rooms, and what evaporates (choice). */
const HEAT_SPREAD = 0.2
const DAY_S = 86_400

/** How warm the water stays; null: the room is not set, or there is no water. */
export function solveHeat(
  steady: SteadyState,
  load: SolvedLoad,
  returnSide: SolvedReturn,
): SolvedHeat | null {
  const { design } = steady
  const { heat } = design
  if (!heat || load.systemVolumeM3 <= 0) return null
  const surfaces = surfacesOf(steady, heat)
  const heatersW = heatersOf(design).map(devicePowerW)
  const allW = heatersW.reduce((sum, powerW) => sum + powerW, 0)
  const strongestW = Math.max(0, ...heatersW)
  const devicesW = underWaterW(design) + returnSide.heatToWaterW
  const lightsW = LIGHT_INTO_WATER * heat.lightsW
  const inRoom = (roomC: number) => warmWater(design, heat, { surfaces, load, roomC })
  const cold = inRoom(heat.coldestRoomC)
  const warm = inRoom(heat.warmestRoomC)
  const work = (water: WarmWater) =>
    solveRoom(water, { devicesW, lightsW, lightHoursPerDay: heat.lightHoursPerDay }, allW)
  const coldest = work(cold)
  const byDayW = devicesW + lightsW
  const coolingW = Math.max(0, byDayW - lossesW(warm, warm.temperatureC))
  return {
    surfaces,
    conductanceWPerK: cold.conductanceWPerK,
    devicesW,
    lightsW,
    heaters: heatersW.length,
    heatersW: allW,
    strongestW,
    coldest,
    warmest: work(warm),
    stuckOn: strongestW > 0 ? failure(warm, byDayW + strongestW, TOO_WARM_C) : null,
    tooWarmC: TOO_WARM_C,
    tooColdC: TOO_COLD_C,
    off: failure(cold, devicesW + allW - strongestW, TOO_COLD_C),
    coolingW,
    levelsOffC: coolingW > 0 ? temperatureAtC(warm, byDayW) : null,
    creepPptPerDay:
      (design.water.salinityPpt * Math.max(0, coldest.evaporationM3PerS) * DAY_S) /
      load.systemVolumeM3,
  }
}

interface Around {
  readonly surfaces: Surfaces
  readonly load: SolvedLoad
  readonly roomC: number
}

function warmWater(
  design: BasinDesign,
  heat: HeatPlan,
  { surfaces, load, roomC }: Around,
): WarmWater {
  const { temperatureC, salinityPpt } = design.water
  const { openM2 } = surfaces
  const air = airAt(heat, roomC)
  return {
    temperatureC,
    salinityPpt,
    roomC,
    volumeM3: load.systemVolumeM3,
    densityKgPerM3: waterAt(design.water).densityKgPerM3,
    conductanceWPerK: conductanceWPerK(surfaces),
    evaporation: air
      ? { by: 'air', openM2, air }
      : {
          by: 'rate',
          heatW: heatOfEvaporationW(
            evaporationM3PerS(evaporationMmPerDay(design), openM2),
            temperatureC,
          ),
        },
  }
}

function solveRoom(
  water: WarmWater,
  other: Parameters<typeof heaterWork>[1],
  heatersW: number,
): HeatInRoom {
  const byEvaporationW = leavesByAirW(water, water.temperatureC)
  const throughPanelsW = lossesW(water, water.temperatureC) - byEvaporationW
  const work = heaterWork(water, other, heatersW)
  const wantedBandW = HEAT_SPREAD * (Math.abs(throughPanelsW) + Math.abs(byEvaporationW))
  // Written out: a spread takes many times as long, at every keystroke.
  return {
    wantedW: work.wantedW,
    meanW: work.meanW,
    eachOfTwoW: work.eachOfTwoW,
    enough: work.enough,
    hoursPerDay: work.hoursPerDay,
    energyPerMonthJ: work.energyPerMonthJ,
    roomC: water.roomC,
    throughPanelsW,
    byEvaporationW,
    wantedBandW,
    energyPerMonthBandJ: work.energyPerMonthJ > 0 ? wantedBandW * MONTH_S : 0,
    evaporationM3PerS: evaporationOfHeatM3PerS(byEvaporationW, water.temperatureC),
  }
}

function failure(water: WarmWater, suppliedW: number, limitC: number): HeaterFailure {
  return {
    warmsKPerS: warmingKPerS(water, suppliedW),
    untilS: timeToTemperatureS(water, suppliedW, limitC),
  }
}

/** The heaters of a design. */
function heatersOf({ sump }: BasinDesign): Device[] {
  return sump.devices.filter(({ part }) => part.kind === 'heater')
}

/** Wire power of what is under water: devices that stand in it, lamps in their sleeves, circulation pumps; W. */
function underWaterW({ sump, tanks }: BasinDesign): number {
  const devicesW = sump.devices.reduce((sum, device) => {
    const wet = !isThermostatic(device) && (standsInWater(device) || device.lamp !== null)
    return wet ? sum + devicePowerW(device) : sum
  }, 0)
  return devicesW + circulationW(tanks)
}

/** Wire power of all circulation pumps, W. */
export function circulationW(tanks: BasinDesign['tanks']): number {
  return tanks.reduce(
    (sum, { scene }) =>
      scene.pumps.reduce(
        (inTank, { part, speed, pattern }) =>
          inTank + powerAtW(part, speed) * meanCubeLevel(pattern),
        sum,
      ),
    0,
  )
}
