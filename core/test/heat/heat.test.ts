import { describe, expect, test } from '@jest/globals'
import { waterAt } from '../../src/fluid/index.ts'
import {
  conductanceWPerK,
  evaporationHeatW,
  evaporationOfHeatM3PerS,
  heaterWork,
  heatOfEvaporationW,
  leavesByAirW,
  LIGHT_INTO_WATER,
  lossesW,
  mmPerDay,
  type OtherHeat,
  timeToTemperatureS,
  vapourPressurePa,
  type WarmWater,
  warmingKPerS,
} from '../../src/heat/index.ts'
import { expectClose } from '../close.ts'
import { cell, csvTable, number, type Row } from '../tables.ts'

const ROWS = csvTable('heat.csv')
const HOUR_S = 3600
const DAY_S = 24 * HOUR_S
const KWH_J = 3.6e6
const STUCK_ON_TO_C = 30
const OFF_TO_C = 22

function waterOf(row: Row): WarmWater {
  const temperatureC = number(row, 'T_C')
  const salinityPpt = number(row, 'S_ppt')
  const openM2 = number(row, 'surface_m2')
  const roomC = number(row, 'room_C')
  const rate = cell(row, 'evaporation_mm_day')
  return {
    temperatureC,
    salinityPpt,
    roomC,
    volumeM3: number(row, 'water_L') / 1000,
    densityKgPerM3: waterAt({ temperatureC, salinityPpt }).densityKgPerM3,
    conductanceWPerK: conductanceWPerK({
      glassM2: number(row, 'glass_m2'),
      acrylicM2: number(row, 'acrylic_10mm_m2'),
      openM2,
    }),
    evaporation:
      rate === null
        ? {
            by: 'air',
            openM2,
            air: { roomC, humidity: number(row, 'humidity'), stirred: number(row, 'Fa') },
          }
        : {
            by: 'rate',
            heatW: heatOfEvaporationW(((rate / 1000) * openM2) / DAY_S, temperatureC),
          },
  }
}

function othersOf(row: Row): OtherHeat {
  return {
    devicesW: number(row, 'under_water_W') + number(row, 'air_cooled_pump_W') / 2,
    lightsW: LIGHT_INTO_WATER * number(row, 'lights_W'),
    lightHoursPerDay: number(row, 'light_hours_a_day'),
  }
}

describe('the table of heat, to 1e-5', () => {
  test.each(ROWS.map((row) => [row.case!, row.comment!, row] as const))('%s, %s', (id, _, row) => {
    const water = waterOf(row)
    const other = othersOf(row)
    const heaterW = number(row, 'heater_W')
    const { temperatureC } = water
    const meets = (column: string, got: number | null) => {
      const wanted = cell(row, column)
      if (wanted === null || got === null) expect([id, column, got]).toEqual([id, column, wanted])
      else expectClose(`${id} ${column}`, got, wanted, 1e-5)
    }
    const evaporationW = leavesByAirW(water, temperatureC)
    meets('evaporation_L_day', evaporationOfHeatM3PerS(evaporationW, temperatureC) * 1000 * DAY_S)
    meets('evaporation_W', evaporationW)
    meets('panels_and_surface_W', lossesW(water, temperatureC) - evaporationW)
    meets('devices_W', other.devicesW)
    meets('lights_into_water_W', other.lightsW)
    const work = heaterWork(water, other, heaterW)
    meets('heater_wanted_W', work.wantedW)
    meets('heater_mean_W', work.meanW)
    meets('each_of_two_W', work.eachOfTwoW)
    meets('hours_a_day', work.hoursPerDay)
    expect([id, work.enough]).toEqual([id, row.enough])
    meets('energy_kWh_month', work.energyPerMonthJ / KWH_J)
    const stuckW = heaterW + other.devicesW + other.lightsW
    const hours = (suppliedW: number, targetC: number) => {
      const s = timeToTemperatureS(water, suppliedW, targetC)
      return s === null ? 'never' : s / HOUR_S
    }
    const meetsHours = (column: string, got: number | string) => {
      if (got === 'never') expect([id, column, got]).toEqual([id, column, row[column]])
      else meets(column, got as number)
    }
    meets('stuck_on_C_per_h', warmingKPerS(water, stuckW) * HOUR_S)
    meetsHours('stuck_on_h_to_30', hours(stuckW, STUCK_ON_TO_C))
    meets('off_C_per_h', warmingKPerS(water, other.devicesW) * HOUR_S)
    meetsHours('off_h_to_22', hours(other.devicesW, OFF_TO_C))
  })
  test('has rows of both ways of evaporating, and of each answer', () => {
    expect(new Set(ROWS.map(({ enough }) => enough))).toEqual(new Set(['yes', 'no', 'cooling']))
    expect(new Set(ROWS.map((row) => cell(row, 'humidity') === null)).size).toBe(2)
  })
})

describe('what evaporates', () => {
  test('saturated vapour: 23.4 mbar at 20 °C, 31.6 at 25 °C', () => {
    expectClose('at 20 °C', vapourPressurePa(20), 2333, 1e-3)
    expectClose('at 25 °C', vapourPressurePa(25), 3162, 1e-3)
  })
  test('a rate is its depth again over its surface', () => {
    const rate = ((3 / 1000) * 0.8) / DAY_S
    expectClose('mm a day', mmPerDay(rate, 0.8), 3)
    expectClose(
      'by its heat',
      evaporationOfHeatM3PerS(heatOfEvaporationW(rate, 25), 25),
      rate,
      1e-12,
    )
    expect(mmPerDay(rate, 0)).toBe(0)
  })
  test('nothing where the air has all it can hold at the water’s temperature', () => {
    const air = { roomC: 25, humidity: 1, stirred: 1 }
    expect(evaporationHeatW(1, { temperatureC: 25, salinityPpt: 35 }, air)).toBe(0)
  })
})

test('the time on the way is that of small steps through it', () => {
  const water = waterOf(ROWS.find(({ case: id }) => id === 'he18')!)
  const suppliedW = 300
  const steps = 20_000
  let s = 0
  let now = water
  const stepC = (STUCK_ON_TO_C - water.temperatureC) / steps
  for (let i = 0; i < steps; i++) {
    s += stepC / warmingKPerS({ ...now, temperatureC: now.temperatureC + stepC / 2 }, suppliedW)
    now = { ...now, temperatureC: now.temperatureC + stepC }
  }
  expectClose('s', timeToTemperatureS(water, suppliedW, STUCK_ON_TO_C)!, s, 1e-5)
  expect(timeToTemperatureS(water, suppliedW, water.temperatureC)).toBe(0)
})
