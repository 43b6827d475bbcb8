import { describe, expect, test } from '@jest/globals'
import { checkPumps } from '../check-pump.ts'
import { expectClose } from '../close.ts'
import { cell, csvTable, L_PER_H, number } from '../tables.ts'
import { forcedBackHeadM, leastSpeedToLift, pumpCurve, pumpHeadM } from '../../src/pump/curve.ts'
import { heatToWaterW, pumpPower, wirePowerW } from '../../src/pump/power.ts'

const pumps = checkPumps()

describe('pumps against the check table', () => {
  const rows = csvTable('pump.csv')
  test.each(rows.map((row) => [`${row.pump} n ${row.speed} Q ${row.flow_L_h}`, row] as const))(
    '%s',
    (name, row) => {
      const part = pumps[row.pump!]!
      const curve = pumpCurve(part)
      const speed = number(row, 'speed')
      const flow = number(row, 'flow_L_h') * L_PER_H
      const head =
        row.region === 'forced_back'
          ? forcedBackHeadM(curve, part, -flow, speed)
          : pumpHeadM(curve, flow, speed)
      // A head at the free flow is zero to rounding, so it is compared against the shut-off head.
      const off = Math.abs(head - number(row, 'head_m')) / curve.shutOffHeadM
      expect(off).toBeLessThan(1e-8)
      const free = speed * curve.freeFlowM3PerS
      expectClose(`${name} free flow`, free, number(row, 'flow_at_zero_head_L_h') * L_PER_H)
      const shutOff = pumpHeadM(curve, 0, speed)
      expectClose(`${name} shut-off`, shutOff, number(row, 'shutoff_head_m'))
      const watts = cell(row, 'wire_power_W')
      if (watts !== null) {
        expectClose(`${name} power`, wirePowerW(pumpPower(part), flow, speed), watts)
      }
    },
  )
})

describe('a pump', () => {
  test('of two numbers is marked as such', () => {
    expect(pumpCurve(pumps.pump_03!).twoNumber).toBe(true)
    expect(pumpCurve(pumps.pump_01!).twoNumber).toBe(false)
  })
  test('with neither points nor two numbers is misuse', () => {
    const broken = { ...pumps.pump_03!, shutOffHeadM: null }
    expect(() => pumpCurve(broken)).toThrow(/needs points/)
  })
  test('lifts nothing at no speed, and needs √(lift/H₀) of it to begin', () => {
    const curve = pumpCurve(pumps.pump_01!)
    expect(pumpHeadM(curve, 0, 0)).toBe(0)
    const least = leastSpeedToLift(curve, 1.25)
    expect(pumpHeadM(curve, 0, least)).toBeCloseTo(1.25, 12)
    expect(leastSpeedToLift(curve, -0.1)).toBe(0)
  })
  test('gives all its power to the water when under it, half when it stands dry', () => {
    expect(heatToWaterW({ mounting: 'under-water' }, 40)).toBe(40)
    expect(heatToWaterW({ mounting: 'dry' }, 40)).toBe(20)
  })
})
