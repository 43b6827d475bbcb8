import type { CheckLine } from '../check-line.ts'
import { describe, expect, test } from '@jest/globals'
import { L_PER_H } from '../tables.ts'
import {
  anEmergency,
  type CheckDrill,
  fallOf,
  FLOOR,
  flowOn,
  heightOf,
  level,
  num,
  ofKind,
  openPipe,
  pumpFlowOf,
  rimOf,
  throughFall,
  time,
  vessel,
  waterOf,
} from './check-drill.ts'
import { openPipeRiseM, ruledBy } from '../../src/drain/emergency.ts'
import { emergencyAnswer } from '../../src/drain/emergency-verdict.ts'
import { fallFlow } from '../../src/drain/fall.ts'
import { Drains } from '../../src/drill/law/drains.ts'
import { overRim } from '../../src/drill/law/rim.ts'
import { Between, type Law } from '../../src/drill/rates.ts'
import { volumeAt } from '../../src/drill/vessel.ts'
import { boxDrains, BoxSearch, NONE_BLOCKED } from '../../src/loop/index.ts'
import { brent } from '../../src/numeric/brent.ts'
import { risingRoot } from '../../src/numeric/rising-root.ts'
import { flowOver, headOver } from '../../src/weir/rim.ts'

const record = (given: CheckDrill, name: string) => given[name] as Record<string, unknown>

describe('a tank runs down over its rim when the pump stops', () => {
  test.each(ofKind('weir_drain_back'))('%s', (_, given) => {
    const { result } = given
    const rim = rimOf(record(given, 'weir'))
    const flow = num(given, 'flow_before_stop_L_h') * L_PER_H
    const boreM = num(given, 'standpipe_bore_m')
    const headM = headOver(rim, flow)
    const riseM = openPipeRiseM({ boreM, below: null }, flow)
    level('weir head', headM, num(result, 'weir_head_running_m'))
    level('box', riseM, num(result, 'box_level_over_standpipe_running_m'))
    const vessels = [
      vessel('display', num(given, 'display_area_m2')),
      vessel('box', num(given, 'box_area_m2'), -1),
      vessel('sump', num(given, 'sump_area_m2')),
    ]
    // The box stands lower than the rim, so the rim runs free: its levels count from its own zero.
    const laws: Law[] = [
      new Between(0, 1, (h) => flowOver(rim, h)),
      openPipe(1, 2, { boreM, lipM: 0 }),
    ]
    const fallenM = num(given, 'pipe_water_falling_at_once_m3') / vessels[2]!.areaM2
    let levelsM = [headM, riseM, num(given, 'sump_running_level_m') + fallenM]
    let fromS = 0
    for (const [at, wanted] of Object.entries(
      result.at_time_s as Record<string, Record<string, unknown>>,
    )) {
      const after = flowOn({ vessels, laws, levelsM, fromS, toS: Number(at) })
      levelsM = vessels.map((vessel, i) => after.volumes[i]! / vessel.areaM2 + vessel.floorM)
      level(`display at ${at} s`, levelsM[0]!, num(wanted, 'display_head_m'))
      level(`box at ${at} s`, levelsM[1]!, num(wanted, 'box_head_m'))
      level(`sump at ${at} s`, levelsM[2]!, num(wanted, 'sump_level_m'))
      fromS = Number(at)
    }
    const rest = flowOn({ vessels, laws, levelsM, fromS, toS: 1e9 })
    const endM = rest.volumes[2]! / vessels[2]!.areaM2
    level('sump in the end', endM, num(result, 'sump_level_in_the_end_m'))
  })
})

describe('a tank runs back through its return until its siphon breaks', () => {
  test.each(ofKind('back_siphon'))('%s', (_, given) => {
    const { result } = given
    const rim = rimOf(record(given, 'weir'))
    const rimM = num(given, 'rim_level_m')
    const stopped = {
      type: 'fixed_K',
      bore_m: num(given, 'pump_outlet_bore_m'),
      K: num(given, 'stopped_pump_K'),
    }
    const fall = fallOf(given.return_line as CheckLine, waterOf(given), [stopped])
    const headM = headOver(rim, num(given, 'flow_before_stop_L_h') * L_PER_H)
    const sumpM = num(given, 'sump_running_level_m')
    level('weir head', headM, num(result, 'weir_head_running_m'))
    const back = (tankM: number, lowM: number) => fallFlow(fall, tankM - lowM, 5e-4)
    expect(back(rimM + headM, sumpM) / L_PER_H).toBeCloseTo(
      num(result, 'back_flow_at_start_L_h'),
      1,
    )
    const vessels = [
      vessel('display', num(given, 'display_area_m2')),
      vessel('sump', num(given, 'sump_area_m2')),
    ]
    const weir = new Between(0, 1, (tankM) => flowOver(rim, tankM - rimM))
    const breaksM = rimM - num(given, 'air_enters_below_rim_m')
    let rimReachedS = NaN
    const after = flowOn({
      vessels,
      laws: [weir, throughFall(0, 1, fall)],
      levelsM: [rimM + headM, sumpM],
      toS: 1e7,
      detectors: [{ name: 'breaks', value: (levels) => breaksM - levels[0]! }],
    })
    const toRim = flowOn({
      vessels,
      laws: [weir, throughFall(0, 1, fall)],
      levelsM: [rimM + headM, sumpM],
      toS: 1e7,
      detectors: [{ name: 'rim', value: (levels) => rimM - levels[0]! }],
    })
    rimReachedS = toRim.timeS
    time('rim reached', rimReachedS, num(result, 'rim_level_reached_s'))
    const endM = after.volumes[1]! / vessels[1]!.areaM2
    if (result.siphon_breaks_s === null) {
      expect(after.detector).toBeNull()
    } else {
      time('siphon breaks', after.timeS, num(result, 'siphon_breaks_s'))
      level('sump at the break', endM, num(result, 'sump_level_at_break_m'))
      const lastFlow = back(breaksM, endM) / L_PER_H
      expect(Math.abs(lastFlow / num(result, 'back_flow_at_break_L_h') - 1)).toBeLessThan(0.005)
    }
    const fallen = after.detector ? num(given, 'pipe_water_falling_at_break_m3') : 0
    const restM = endM + fallen / vessels[1]!.areaM2
    level('sump in the end', restM, num(result, 'sump_level_in_the_end_m'))
    expect(restM >= num(given, 'sump_rim_m')).toBe(result.sump_rim_reached)
  })
})

describe('an emergency pipe takes over', () => {
  test.each(ofKind('emergency_takeover'))('%s', (_, given) => {
    const { result } = given
    const flow = num(given, 'flow_L_h') * L_PER_H
    const boreM = num(given, 'emergency_bore_m')
    const lipM = num(given, 'emergency_inlet_level_m')
    const rimM = num(given, 'weir_rim_level_m')
    const fall = fallOf(given.emergency_line as CheckLine, waterOf(given))
    const dropM = num(given, 'emergency_inlet_to_discharge_drop_m')
    const endUnderM = num(given, 'emergency_end_under_water_m')
    const below = { fall, dropM }
    const pipe = { boreM, below, endUnderM, rises: false, joined: false }
    const answer = emergencyAnswer(pipe, flow, rimM - lipM)
    level('rise', answer.riseNeededM, num(result, 'rise_needed_over_emergency_inlet_m'))
    expect(answer.by).toBe(result.by)
    if (answer.by === 'open') {
      const words = { rim: 'weir', mouth: 'orifice', pipe: 'full_pipe' }
      expect(words[ruledBy(pipe, answer.riseOpenM)]).toBe(result.ruled_by)
    }
    const needsM = lipM + answer.riseNeededM
    // Its own law as a drill asks it: the open mouth, and the full pipe once that fills.
    const search = new BoxSearch(
      boxDrains([anEmergency({ boreM, lipM, fall, endM: lipM - dropM })]),
    )
    const vessels = [vessel('source', 1), vessel('box', num(given, 'box_area_m2')), FLOOR]
    const into = new Drains(1, search, { into: [2], mouthM: [lipM - dropM], blocked: NONE_BLOCKED })
    const laws: Law[] = [new Between(0, 1, () => flow), into]
    const to = (name: string, wantedM: number) =>
      flowOn({
        vessels,
        laws,
        levelsM: [100, num(given, 'box_running_level_m'), 0],
        toS: 1e5,
        detectors: [{ name, value: (levels) => levels[1]! - wantedM }],
        marks: [heightOf(1, lipM), heightOf(1, lipM + 1.25 * boreM)],
      }).timeS
    time('starts', to('starts', lipM), num(result, 'emergency_starts_s'))
    const atPriming = answer.by === 'primed' && answer.riseNeededM <= 1.25 * boreM + 1e-9
    time('reached', to('reached', needsM - (atPriming ? 0 : 1e-4)), num(result, 'reached_s'))
    level('box', needsM, num(result, 'box_level_needed_m'))
    level('headroom', rimM - needsM, num(result, 'headroom_to_weir_rim_m'))
    const heldM3 = (needsM - num(given, 'box_running_level_m')) * num(given, 'box_area_m2')
    level(
      'return chamber',
      heldM3 / num(given, 'return_chamber_area_m2'),
      num(result, 'return_chamber_falls_by_m'),
    )
  })
})

describe('all drains are blocked while the pump runs on', () => {
  test.each(ofKind('both_drains_blocked'))('%s', (_, given) => {
    const { result } = given
    const pump = pumpFlowOf(given)
    const rim = rimOf(record(given, 'weir'))
    const outM = num(given, 'outlet_level_m')
    const crestM = num(given, 'weir_rim_level_m')
    const startM = num(given, 'return_chamber_level_m')
    const flow = pump(outM - startM)
    expect(flow / L_PER_H).toBeCloseTo(num(result, 'flow_at_start_L_h'), 1)
    const headM = headOver(rim, flow)
    level('weir head', headM, num(result, 'weir_head_at_start_m'))
    const vessels = [
      vessel('display', num(given, 'display_area_m2')),
      vessel('box', num(given, 'box_area_m2')),
      vessel('return', num(given, 'return_chamber_area_m2')),
    ]
    const rimReached = { name: 'rim', value: (z: number[]) => z[1]! - crestM }
    const ends = [
      {
        name: 'tank_rim_reached',
        value: (z: number[]) => z[0]! - num(given, 'tank_rim_level_m'),
      },
      {
        name: 'pump_stops',
        value: (z: number[]) => num(given, 'pump_least_level_m') - z[2]!,
      },
    ]
    const laws = [overRim(0, 1, rim, crestM), new Between(2, 0, (lowM) => pump(outM - lowM))]
    const levelsM = [crestM + headM, num(given, 'box_running_level_m'), startM]
    const filling = flowOn({ vessels, laws, levelsM, toS: 1e6, detectors: [rimReached, ...ends] })
    if (filling.detector?.name === 'rim') {
      time('box at the rim', filling.timeS, num(result, 'box_reaches_weir_rim_s'))
    }
    const after = flowOn({ vessels, laws, levelsM, toS: 1e6, detectors: ends })
    if (result.outcome === 'tank_rim_reached') expect(after.detector?.name).toBe('tank_rim_reached')
    else expect(after.detector?.name).toBe('pump_stops')
    time('outcome', after.timeS, num(result, 'outcome_s'))
    level(
      'return',
      after.volumes[2]! / vessels[2]!.areaM2,
      num(result, 'return_chamber_level_then_m'),
    )
    level('display', after.volumes[0]! / vessels[0]!.areaM2, num(result, 'display_level_then_m'))
  })
})

test('the helpers of these tests are the laws themselves', () => {
  const found = brent((x) => x - 2, 0, 5, { tolerance: 1e-12 })
  expect(found.ok && found.value).toBeCloseTo(2)
  expect(volumeAt(vessel('a', 2, 1), 3)).toBe(4)
  expect(
    risingRoot((x, into) => ((into.value = x), (into.slope = 1)), 3, {
      low: 0,
      guess: 1,
      most: 9,
      tolerance: 1e-9,
    }),
  ).toEqual({ x: 3, slope: 1 })
})
