import { describe, expect, test } from '@jest/globals'
import type { Lamp } from '../../src/design/devices.ts'
import { burnedByS, daysBetween, onDay } from '../../src/design/lamp-hours.ts'
import { solveBasin } from '../../src/index.ts'
import { aSterilizer, withDevices } from '../a-device.ts'
import { LOOP } from '../a-treated-loop.ts'

const HOUR_S = 3600
const LAMP: Lamp = {
  ...aSterilizer().lamp!,
  hoursPerDay: 12,
  lampSince: '2026-03-01',
}

describe('the hours of a lamp', () => {
  test('days are counted over months and summer time', () => {
    expect(daysBetween('2026-02-28', '2026-03-01')).toBe(1)
    expect(daysBetween('2024-02-28', '2024-03-01')).toBe(2)
    expect(daysBetween('2026-03-01', '2026-11-01')).toBe(245)
    expect(daysBetween('2026-03-02', '2026-03-01')).toBe(0)
  })
  test('run from the day it was put in', () => {
    expect(burnedByS(LAMP, '2026-03-11')).toBe(10 * 12 * HOUR_S)
  })
  test('run on from those that were given on a day', () => {
    const given = { ...LAMP, burnedS: 500 * HOUR_S, burnedOn: '2026-05-01' }
    expect(burnedByS(given, '2026-05-03')).toBe((500 + 24) * HOUR_S)
  })
  test('given without a day they are the least', () => {
    const given = { ...LAMP, burnedS: 500 * HOUR_S }
    expect(burnedByS(given, '2026-03-02')).toBe(500 * HOUR_S)
    expect(burnedByS(given, '2026-12-01')).toBe(275 * 12 * HOUR_S)
    expect(burnedByS({ ...given, lampSince: null }, '2026-12-01')).toBe(500 * HOUR_S)
  })
})

describe('a design on a day', () => {
  const design = withDevices(LOOP, { ...aSterilizer({ lineId: 'main' }), lamp: LAMP })
  test('has its lamp as old as it is by then, and says so when its hours are over', () => {
    const young = solveBasin(onDay(design, '2026-04-01'))
    const old = solveBasin(onDay(design, '2028-12-01'))
    expect(old.treatment.sterilizers[0]!.ageing).toBeLessThan(
      young.treatment.sterilizers[0]!.ageing,
    )
    expect(young.findings.map(({ code }) => code)).not.toContain('lamp-old')
    expect(old.findings.map(({ code }) => code)).toContain('lamp-old')
    expect(design.sump.devices[0]!.lamp).toBe(LAMP)
  })
  test('is one object a day, so that it is solved once', () => {
    expect(onDay(design, '2026-05-01')).toBe(onDay(design, '2026-05-01'))
    const other = onDay(design, '2026-05-02')
    expect(other.sump.devices[0]!.lamp!.burnedS).toBe(62 * 12 * HOUR_S)
  })
  test('without a lamp, or on the day it was put in, is the design itself', () => {
    expect(onDay(LOOP, '2026-05-01')).toBe(LOOP)
    expect(onDay(design, '2026-03-01')).toBe(design)
  })
})
