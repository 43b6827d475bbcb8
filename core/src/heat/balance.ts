import { brent } from '../numeric/index.ts'
import { type RoomAir, evaporationHeatW } from './evaporation.ts'

/** Water in a room, as its heat sees it. */
export interface WarmWater {
  readonly temperatureC: number
  readonly salinityPpt: number
  readonly volumeM3: number
  /** At the temperature it has now. */
  readonly densityKgPerM3: number
  readonly roomC: number
  /** Σ U A, W/K. */
  readonly conductanceWPerK: number
  /** Heat of what evaporates, W, whatever the temperature; or how the room's air takes it. */
  readonly evaporation:
    | { readonly by: 'rate'; readonly heatW: number }
    | { readonly by: 'air'; readonly openM2: number; readonly air: RoomAir }
}

/** Of sea water, J/kgK. */
const HEAT_CAPACITY = 3993
/** Of a light over the water: what of its power ends in it. */
export const LIGHT_INTO_WATER = 0.1
const DAY_H = 24
/** A month of 30 days, s. */
export const MONTH_S = 30 * DAY_H * 3600

/** What leaves the water at a temperature, W: U A (T − T room) + L ρ E. */
export function lossesW(water: WarmWater, temperatureC: number): number {
  return water.conductanceWPerK * (temperatureC - water.roomC) + leavesByAirW(water, temperatureC)
}

/** Heat of what evaporates at a temperature, W. */
export function leavesByAirW(water: WarmWater, temperatureC: number): number {
  const { evaporation, salinityPpt } = water
  if (evaporation.by === 'rate') return evaporation.heatW
  return evaporationHeatW(evaporation.openM2, { temperatureC, salinityPpt }, evaporation.air)
}

/** Heats the water beside its heater. */
export interface OtherHeat {
  /** Pumps and devices, day and night, W. */
  readonly devicesW: number
  /** Of the lights, what ends in the water, W. */
  readonly lightsW: number
  readonly lightHoursPerDay: number
}

/** What a heater has to do at a room's temperature. */
export interface HeaterWork {
  /** By night: losses less what devices give; negative: cooling is wanted. */
  readonly wantedW: number
  /** Over the day, lights counted; negative: none. */
  readonly meanW: number
  /** Two of two thirds each are the usual reserve; null where none is wanted. */
  readonly eachOfTwoW: number | null
  /** cooling: none is wanted. no: the heater can't hold it. */
  readonly enough: 'cooling' | 'yes' | 'no'
  /** null: without a heater, where it is not enough, or where none is wanted over the day. */
  readonly hoursPerDay: number | null
  /** Of 30 days. */
  readonly energyPerMonthJ: number
}

/** What keeps the water as warm as it is, lights out; `heaterW` is what there is. */
export function heaterWork(water: WarmWater, other: OtherHeat, heaterW: number): HeaterWork {
  const wantedW = lossesW(water, water.temperatureC) - other.devicesW
  const meanW = wantedW - (other.lightsW * other.lightHoursPerDay) / DAY_H
  const enough = wantedW < 0 ? 'cooling' : heaterW >= wantedW ? 'yes' : 'no'
  return {
    wantedW,
    meanW,
    eachOfTwoW: wantedW > 0 ? (2 / 3) * wantedW : null,
    enough,
    hoursPerDay: enough === 'yes' && heaterW > 0 && meanW > 0 ? (DAY_H * meanW) / heaterW : null,
    energyPerMonthJ: Math.max(0, meanW) * MONTH_S,
  }
}

/** ρ c V, J/K. */
function heatCapacityJPerK({ densityKgPerM3, volumeM3 }: WarmWater): number {
  return densityKgPerM3 * HEAT_CAPACITY * volumeM3
}

/** How fast the water warms with so much heat put in, K/s; negative: it cools. */
export function warmingKPerS(water: WarmWater, suppliedW: number): number {
  return (suppliedW - lossesW(water, water.temperatureC)) / heatCapacityJPerK(water)
}

/** Nothing in a room gets this hot, °C. */
const HOTTEST_C = 100

/** Where the water levels off with so much heat put in, °C. */
export function temperatureAtC(water: WarmWater, suppliedW: number): number {
  const { evaporation, conductanceWPerK, roomC } = water
  if (evaporation.by === 'rate') return roomC + (suppliedW - evaporation.heatW) / conductanceWPerK
  const leastC = Math.min(roomC, 0)
  const off = (temperatureC: number) => lossesW(water, temperatureC) - suppliedW
  if (off(HOTTEST_C) <= 0) return HOTTEST_C
  if (off(leastC) >= 0) return leastC
  const root = brent(off, leastC, HOTTEST_C, { tolerance: 1e-6 })
  return root.ok ? root.value : HOTTEST_C
}

/** Pieces a way is parted into where losses do not go straight with temperature. */
const PIECES = 64

/**
 * ∫ ρ c V dT/(supplied − losses(T)) from what the water has to another temperature, s; null: it
 * levels off before, or goes the other way. Exact where losses go straight, in pieces where they don't.
 */
export function timeToTemperatureS(
  water: WarmWater,
  suppliedW: number,
  targetC: number,
): number | null {
  const fromC = water.temperatureC
  const netW = (temperatureC: number) => suppliedW - lossesW(water, temperatureC)
  const way = Math.sign(targetC - fromC)
  if (way === 0) return 0
  // Losses rise with temperature: what pushes on at both ends pushes on between them.
  if (netW(fromC) * way <= 0 || netW(targetC) * way <= 0) return null
  const capacity = heatCapacityJPerK(water)
  const kelvinPerW = (pieces: number) => sumOfReciprocals(netW, [fromC, targetC], pieces)
  if (water.evaporation.by === 'rate') return capacity * kelvinPerW(1)
  // What is left over goes with the square of a piece, so two sums give the third (Richardson).
  return (capacity * (4 * kelvinPerW(PIECES) - kelvinPerW(PIECES / 2))) / 3
}

/** ∫ dT/p over a way in pieces, p straight in each. */
function sumOfReciprocals(
  p: (temperatureC: number) => number,
  [fromC, toC]: readonly [number, number],
  pieces: number,
): number {
  const stepC = (toC - fromC) / pieces
  let sum = 0
  let before = p(fromC)
  for (let i = 1; i <= pieces; i++) {
    const after = p(fromC + i * stepC)
    sum += stepC * meanReciprocal(before, after)
    before = after
  }
  return sum
}

/** Near enough to one that the series is exact. */
const NEARLY_ALIKE = 1e-4

/** Mean of 1/p where p goes straight from a to b: ln(b/a)/(b − a). */
function meanReciprocal(a: number, b: number): number {
  const off = b / a - 1
  if (Math.abs(off) < NEARLY_ALIKE) return (1 - off / 2 + (off * off) / 3) / a
  return Math.log1p(off) / (b - a)
}
