import { describe, expect, test } from '@jest/globals'
import { type CheckFitting, fittingOf } from '../check-fitting.ts'
import { expectClose } from '../close.ts'
import { cell, csvTable, L_PER_H, number, type Row } from '../tables.ts'
import { kAt } from '../../src/fitting/loss.ts'
import { closingRise, openingOfRise } from '../../src/fitting/valve.ts'
import { waterAt } from '../../src/fluid/water.ts'
import { reynolds, speedMPerS, velocityHeadM } from '../../src/pipe/flow.ts'

function asFitting(row: Row): CheckFitting {
  const given = (column: string, scale = 1) => {
    const value = cell(row, column)
    return value === null ? undefined : value * scale
  }
  return {
    type: row.type!,
    bore_m: number(row, 'bore_mm') / 1000,
    trade_size_in: given('trade_size_in'),
    large_bore_m: given('large_bore_mm', 1e-3),
    angle_deg: given('angle_deg'),
    open_fraction: given('open_fraction'),
    degrees_closed: given('degrees_closed'),
    kv_m3_h: given('kv_m3_h'),
    cv_us: given('cv_us'),
    open_area_ratio: given('open_area_ratio'),
  }
}

describe('fittings against the check table', () => {
  test.each(csvTable('fittings.csv').map((row) => [row.case!, row] as const))('%s', (name, row) => {
    const loss = fittingOf(asFitting(row))
    if (row.flow_possible === 'no') {
      expect(loss).toBeNull()
      return
    }
    const boreM = number(row, 'bore_mm') / 1000
    const speed = speedMPerS(number(row, 'flow_L_h') * L_PER_H, boreM)
    const water = waterAt({ salinityPpt: number(row, 'S_ppt'), temperatureC: number(row, 'T_C') })
    const k = kAt(loss!, reynolds(speed, boreM, water.kinematicM2PerS))
    expectClose(`${name} ${row.type} K`, k, number(row, 'K'))
    expectClose(`${name} head`, k * velocityHeadM(speed), number(row, 'head_m'))
  })
})

describe('part-closed valves', () => {
  test.each(['gate-valve', 'ball-valve'] as const)('%s: closing only ever adds', (valve) => {
    let before = -1
    for (let opening = 1; opening > 0; opening -= 0.01) {
      const rise = closingRise(valve, opening)
      if (rise === null) break
      expect(rise).toBeGreaterThan(before)
      before = rise
    }
  })
  test('open valves meet the table at zero, shut ones carry nothing', () => {
    expect(closingRise('gate-valve', 1)).toBe(0)
    expect(closingRise('ball-valve', 1)).toBe(0)
    expect(closingRise('gate-valve', 0)).toBeNull()
    expect(closingRise('ball-valve', 0)).toBeNull()
  })
})

describe('a valve’s closing, read the other way', () => {
  test.each(['gate-valve', 'ball-valve'] as const)(
    '%s: the rise of a setting gives it back',
    (valve) => {
      for (const opening of [1, 0.99, 0.96, 0.8, 0.55, 0.4, 0.2]) {
        const rise = closingRise(valve, opening)!
        const found = openingOfRise(valve, rise)
        expect(found.opening).toBeCloseTo(opening, 9)
        if (opening === 1) continue
        const step = 1e-7
        const chord =
          (closingRise(valve, opening + step)! - closingRise(valve, opening - step)!) / (2 * step)
        expectClose(`${valve} at ${opening}`, found.slope, chord, 1e-4)
      }
    },
  )
})
