import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { csvTable, L_PER_H, number } from '../tables.ts'
import { waterAt } from '../../src/fluid/water.ts'
import { reynolds, speedMPerS, velocityHeadM } from '../../src/pipe/flow.ts'
import { frictionFactor, regimeAt } from '../../src/pipe/friction.ts'
import type { PipeSeries } from '../../src/pipe/series.ts'
import { seriesSize } from '../../src/pipe/size.ts'
import { hazenWilliamsMPerM } from '../../src/pipe/hazen-williams.ts'

describe('friction against the check table', () => {
  test.each(csvTable('friction.csv').map((row) => [row.case!, row] as const))('%s', (name, row) => {
    const boreM = number(row, 'bore_mm') / 1000
    const flow = number(row, 'flow_L_h') * L_PER_H
    const water = waterAt({ salinityPpt: number(row, 'S_ppt'), temperatureC: number(row, 'T_C') })
    const speed = speedMPerS(flow, boreM)
    const re = reynolds(speed, boreM, water.kinematicM2PerS)
    const f = frictionFactor(re, number(row, 'roughness_mm') / 1000 / boreM)
    expectClose(`${name} V`, speed, number(row, 'velocity_m_s'))
    expectClose(`${name} Re`, re, number(row, 'Re'))
    expect(regimeAt(re)).toBe(row.regime)
    expectClose(`${name} f`, f, number(row, 'f_darcy'))
    const slope = (f * number(row, 'f_multiplier') * velocityHeadM(speed)) / boreM
    expectClose(`${name} head loss`, slope, number(row, 'head_loss_m_per_m'))
    const cross = hazenWilliamsMPerM(flow, boreM)
    expectClose(`${name} Hazen–Williams`, cross, number(row, 'hazen_williams_150_m_per_m'))
  })
})

test.each(csvTable('bores.csv').map((row) => [`${row.table} ${row.size}`, row] as const))(
  'the mean bore of %s',
  (name, row) => {
    const series = {
      'schedule 40': 'schedule-40',
      'schedule 80': 'schedule-80',
      'metric PN 16': 'pn-16',
      'metric PN 10': 'pn-10',
    }[row.table!] as PipeSeries
    const own = seriesSize({ series, size: row.size!.replace('-', ' ') })!
    expectClose(name, own.boreM * 1000, number(row, 'mean_bore_mm'))
    expect(own.tradeSizeIn).toBe(number(row, 'trade_size_in'))
  },
)

describe('friction factor', () => {
  test('Colebrook–White holds to 1e-10 where it is the law', () => {
    for (const re of [4000, 1e4, 7.3e4, 1e6]) {
      for (const rough of [1e-7, 1e-4, 1e-2]) {
        const f = frictionFactor(re, rough)
        const right = (-2 * Math.log10(rough / 3.7 + 2.51 / (re * Math.sqrt(f)))) ** -2
        expect(Math.abs(f - right)).toBeLessThan(1e-10)
      }
    }
  })
  test.each([2000, 4000])('no step and no kink at Re %d', (re) => {
    const d = 0.01
    const left = (frictionFactor(re, 1e-4) - frictionFactor(re - d, 1e-4)) / d
    const right = (frictionFactor(re + d, 1e-4) - frictionFactor(re, 1e-4)) / d
    expect(frictionFactor(re - 1e-6, 1e-4)).toBeCloseTo(frictionFactor(re + 1e-6, 1e-4), 9)
    expect(Math.abs(left - right)).toBeLessThan(1e-8)
  })
})
