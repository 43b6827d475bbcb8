import { describe, expect, test } from '@jest/globals'
import { L_PER_H } from '../tables.ts'
import { FLOOR, flowOn, num, ofKind, vessel } from './check-drill.ts'
import { brineOf, mixed, salinityPpt } from '../../src/drill/brine.ts'
import { overEdge } from '../../src/drill/law/rim.ts'
import { Steady } from '../../src/drill/law/steady.ts'
import { specificGravity } from '../../src/fluid/density.ts'
import { waterAt } from '../../src/fluid/water.ts'

describe('a top-off that is stuck open', () => {
  test.each(ofKind('top_off_stuck'))('%s', (_, given) => {
    const { result } = given
    const reading = { salinityPpt: num(given, 'S_ppt'), temperatureC: num(given, 'T_C') }
    const freshKgPerM3 = waterAt({ ...reading, salinityPpt: 0 }).densityKgPerM3
    const volume = num(given, 'system_volume_m3')
    const freshM3 = num(given, 'reservoir_m3')
    const roomM3 = num(given, 'free_volume_to_sump_rim_m3')
    const flow = num(given, 'top_off_flow_L_h') * L_PER_H
    const start = brineOf(volume, reading.salinityPpt, waterAt(reading).densityKgPerM3)
    expect(freshM3 / flow).toBeCloseTo(num(result, 'reservoir_empty_s'), 3)
    const stays = Math.min(freshM3, roomM3)
    const full = mixed(start, { freshM3: stays, lostM3: 0, freshKgPerM3 })
    const spilledM3 = freshM3 - stays
    const end = mixed(full, { freshM3: spilledM3, lostM3: spilledM3, freshKgPerM3 })
    const off = (got: number, wanted: number) => Math.abs(got / wanted - 1)
    if (result.rim_reached_s !== null) {
      expect(off(roomM3 / flow, num(result, 'rim_reached_s'))).toBeLessThan(1e-6)
      const then = num(result, 'salinity_when_rim_reached_ppt')
      expect(off(salinityPpt(full), then)).toBeLessThan(1e-5)
    }
    expect(off(salinityPpt(end), num(result, 'salinity_in_the_end_ppt'))).toBeLessThan(1e-5)
    expect(spilledM3 * 1000).toBeCloseTo(num(result, 'spilled_L'), 4)
    expect((start.saltKg - end.saltKg) * 1000).toBeCloseTo(num(result, 'salt_lost_g'), 1)
    expect(end.volumeM3 * 1000).toBeCloseTo(num(result, 'volume_in_the_end_L'), 3)
    const sg = specificGravity(salinityPpt(end), reading.temperatureC)
    expect(off(sg, num(result, 'SG_in_the_end'))).toBeLessThan(1e-5)
    const riseM = stays / num(given, 'sump_surface_m2')
    expect(Math.abs(riseM - num(result, 'sump_level_rise_m'))).toBeLessThan(2e-4)
  })

  test('what comes in over a full rim goes out over it', () => {
    const vessels = [vessel('can', 1), vessel('sump', 0.26), FLOOR]
    const edge = { lengthM: 2, rimM: 0.3, depthBelowM: 0.3 }
    const after = flowOn({
      vessels,
      laws: [new Steady(0, 1, 3e-5), overEdge(1, 2, edge)],
      levelsM: [10, 0.29, 0],
      toS: 2000,
    })
    const cameIn = 3e-5 * 2000
    const room = 0.26 * 0.01
    expect(Math.abs(after.volumes[2]! - (cameIn - room))).toBeLessThan(0.26 * 5e-4)
    expect([...after.volumes].reduce((sum, volume) => sum + volume)).toBeCloseTo(
      10 + 0.26 * 0.29,
      9,
    )
  })
})
