import { describe, expect, test } from '@jest/globals'
import { L_PER_H } from '../tables.ts'
import {
  type CheckDrill,
  flowOn,
  heightOf,
  level,
  near,
  num,
  ofKind,
  pumpFlowOf,
  rimOf,
  time,
  vessel,
} from './check-drill.ts'
import { brineOf, mixed, salinityPpt } from '../../src/drill/brine.ts'
import { gaspOf } from '../../src/drill/law/gasp.ts'
import { overEdge, overRim } from '../../src/drill/law/rim.ts'
import { Steady } from '../../src/drill/law/steady.ts'
import { Between, type Law } from '../../src/drill/rates.ts'
import { waterAt } from '../../src/fluid/water.ts'
import { headOver } from '../../src/weir/rim.ts'

type Row = Readonly<Record<string, unknown>>

const [DISPLAY, BOX, RETURN, CAN, FLOOR] = [0, 1, 2, 3, 4] as const

/** A pump whose drains are all blocked, its top-off's can at hand; gasping or dry once it draws air. */
function gasped(given: CheckDrill) {
  const pump = pumpFlowOf(given)
  const rim = rimOf(given.weir as Row)
  const crestM = num(given, 'weir_rim_level_m')
  const outM = num(given, 'outlet_level_m')
  const startM = num(given, 'return_chamber_level_m')
  const flow = pump(outM - startM)
  const topOff = new Steady(CAN, RETURN, num(given, 'top_off_L_h') * L_PER_H)
  const vessels = [
    vessel('display', num(given, 'display_area_m2')),
    vessel('box', num(given, 'box_area_m2')),
    vessel('return', num(given, 'return_chamber_area_m2')),
    vessel('can', 1),
    vessel('floor', 1),
  ]
  const edge = { lengthM: 1000, rimM: num(given, 'tank_rim_level_m'), depthBelowM: 0.5 }
  const always: Law[] = [overRim(DISPLAY, BOX, rim, crestM), overEdge(DISPLAY, FLOOR, edge)]
  const pumped = new Between(RETURN, DISPLAY, (lowM) => pump(outM - lowM))
  const sensorM = num(given, 'sensor_level_m')
  const inletM = num(given, 'pump_inlet_level_m')
  const start = [
    crestM + headOver(rim, flow),
    num(given, 'box_running_level_m'),
    startM,
    num(given, 'top_off_can_L') / 1000,
    0,
  ]
  const on = (laws: Law[], levelsM: number[], fromS: number, stops: (z: number[]) => number) =>
    flowOn({
      vessels,
      laws,
      levelsM,
      fromS,
      toS: 1e6,
      detectors: [{ name: 'stops', value: stops }],
      marks: [heightOf(BOX, crestM), heightOf(DISPLAY, edge.rimM)],
    })
  const levelsOf = (ran: ReturnType<typeof flowOn>) =>
    vessels.map(({ areaM2 }, i) => ran.volumes[i]! / areaM2)
  const falls = on([...always, pumped], start, 0, (z) => sensorM - z[RETURN]!)
  const toAir = on(
    [...always, pumped, topOff],
    levelsOf(falls),
    falls.timeS,
    (z) => inletM - z[RETURN]!,
  )
  const atAir = levelsOf(toAir)
  const gasps = [...always, topOff, gaspOf(RETURN, DISPLAY, flow)]
  const toRim = on(gasps, atAir, toAir.timeS, (z) => z[DISPLAY]! - edge.rimM)
  const toEmpty = on(gasps, levelsOf(toRim), toRim.timeS, (z) => -z[CAN]!)
  const dry = on([...always, topOff], atAir, toAir.timeS, (z) =>
    Math.max(z[RETURN]! - sensorM, -z[CAN]!),
  )
  return {
    flow,
    headM: start[0]! - crestM,
    topOffStartsS: falls.timeS,
    airS: toAir.timeS,
    atAir,
    gasping: { rimS: toRim.timeS, emptyS: toEmpty.timeS, levelsM: levelsOf(toEmpty) },
    dry: { endsS: dry.timeS, levelsM: levelsOf(dry) },
  }
}

describe('a pump that draws air gasps on or stays dry, and the worse counts', () => {
  test.each(ofKind('gasping_pump'))('%s', (_, given) => {
    const { result } = given
    const ran = gasped(given)
    near('flow', ran.flow / L_PER_H, result.flow_at_start_L_h, 0.1)
    level('head', ran.headM, result.weir_head_at_start_m)
    time('top-off', ran.topOffStartsS, result.top_off_starts_s)
    time('air', ran.airS, result.pump_draws_air_s)
    level('display', ran.atAir[DISPLAY]!, result.display_level_then_m)
    level('box', ran.atAir[BOX]!, result.box_level_then_m)
    const gasping = result.gasping as Row
    if (result.rim_reached_before_that_s === null && gasping.rim_reached_s !== null) {
      time('rim', ran.gasping.rimS, gasping.rim_reached_s)
      time('can', ran.gasping.emptyS, gasping.can_empty_s)
      // The table's tank stops at its rim; here water stands a hair over it to run off.
      near('floor', ran.gasping.levelsM[FLOOR]! * 1000, gasping.litres_on_floor_L, 0.2)
      level('end', ran.gasping.levelsM[DISPLAY]!, gasping.display_level_in_the_end_m)
    }
    const dry = result.stays_dry as Row
    time('dry', ran.dry.endsS, dry.top_off_ends_s)
    level('chamber', ran.dry.levelsM[RETURN]!, dry.chamber_level_in_the_end_m)
    near('left', ran.dry.levelsM[CAN]! * 1000, dry.can_left_L, 0.02)
    const worse = ran.gasping.levelsM[FLOOR]! > ran.dry.levelsM[FLOOR]! + 1e-6
    expect(worse ? 'gasping' : 'stays_dry').toBe(result.worse)
  })
})

const DAY_S = 86_400

describe('a slow leak is made up for, until the can is empty', () => {
  test.each(ofKind('slow_leak'))('%s', (_, given) => {
    const { result } = given
    const water = { salinityPpt: num(given, 'S_ppt'), temperatureC: num(given, 'T_C') }
    const freshKgPerM3 = waterAt({ ...water, salinityPpt: 0 }).densityKgPerM3
    const leak = num(given, 'leak_L_h') * L_PER_H
    const air = num(given, 'evaporation_L_day') / 1000 / DAY_S
    const start = brineOf(
      num(given, 'system_volume_m3'),
      water.salinityPpt,
      waterAt(water).densityKgPerM3,
    )
    near('a day', (leak + air) * DAY_S * 1000, result.top_off_per_day_L, 1e-6)
    const canS = num(given, 'top_off_can_L') / 1000 / (leak + air)
    time('can', canS, result.can_empty_s)
    const held = mixed(start, { freshM3: leak * canS, lostM3: leak * canS, freshKgPerM3 })
    near('then', salinityPpt(held), result.salinity_then_ppt, 1e-6)
    near('floor', leak * canS * 1000, result.litres_on_floor_then_L, 1e-3)
    const fallsM = num(given, 'running_level_m') - num(given, 'pump_inlet_level_m')
    const emptyS = (fallsM * num(given, 'return_chamber_area_m2')) / (leak + air)
    time('air', canS + emptyS, result.pump_draws_air_s)
    const end = mixed(held, { freshM3: -air * emptyS, lostM3: leak * emptyS, freshKgPerM3 })
    near('end', salinityPpt(end), result.salinity_when_pump_draws_air_ppt, 1e-6)
    near('salt', (start.saltKg - end.saltKg) * 1000, result.salt_lost_g, 1e-3)
  })
})
