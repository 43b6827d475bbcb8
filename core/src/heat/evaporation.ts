import { freshDensityKgPerM3 } from '../fluid/index.ts'

/** Heat taken by what evaporates (choice: at 25 °C), J/kg. */
const LATENT_J_PER_KG = 2.43e6
/** Of water at rest under air at rest: ASHRAE Applications, natatoriums, W/(m² Pa). */
const AT_REST_W_PER_M2_PA = 0.089
/** Salt holds water back (choice). */
const OVER_SALT_WATER = 0.93
/** From so much salt on it is salt water, ppt. */
const SALT_FROM_PPT = 5
const MBAR_PA = 100
const MM_PER_DAY = 1e-3 / 86_400

/** Air of a room, and the water's surface under it. */
export interface RoomAir {
  readonly roomC: number
  /** Relative, 0–1. */
  readonly humidity: number
  /** Fa: 0.5 still to 1 rippled. */
  readonly stirred: number
}

/** Pressure of saturated vapour, Pa: Magnus, 6.112 exp(17.62 T/(243.12 + T)) mbar. */
export function vapourPressurePa(temperatureC: number): number {
  return MBAR_PA * 6.112 * Math.exp((17.62 * temperatureC) / (243.12 + temperatureC))
}

/** Heat that leaves with what evaporates into a room's air, W; negative where its damp settles on the water. */
export function evaporationHeatW(
  surfaceM2: number,
  water: { readonly temperatureC: number; readonly salinityPpt: number },
  { roomC, humidity, stirred }: RoomAir,
): number {
  const dropPa = vapourPressurePa(water.temperatureC) - humidity * vapourPressurePa(roomC)
  const salt = water.salinityPpt >= SALT_FROM_PPT ? OVER_SALT_WATER : 1
  return AT_REST_W_PER_M2_PA * stirred * salt * surfaceM2 * dropPa
}

/** Heat of so much fresh water a second: L ρ E, W. */
export function heatOfEvaporationW(evaporationM3PerS: number, temperatureC: number): number {
  return LATENT_J_PER_KG * freshDensityKgPerM3(temperatureC) * evaporationM3PerS
}

/** Fresh water that takes so much heat with it, m³/s; nil where nothing evaporates. */
export function evaporationOfHeatM3PerS(heatW: number, temperatureC: number): number {
  return heatW / (LATENT_J_PER_KG * freshDensityKgPerM3(temperatureC))
}

/** Depth of it over a surface in a day, mm. */
export function mmPerDay(evaporationM3PerS: number, surfaceM2: number): number {
  return surfaceM2 > 0 ? evaporationM3PerS / (surfaceM2 * MM_PER_DAY) : 0
}
