import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { csvTable, L_PER_H, number, type Row } from '../tables.ts'
import {
  flowOver,
  headOver,
  type Rim,
  rimFlow,
  rimHeadM,
  rimLaw,
  type RimLaw,
  slotCount,
} from '../../src/weir/rim.ts'
import { rimHeadSpreadM, rimSpread } from '../../src/weir/spread.ts'
import { drownedShare, LEAST_MEASURED_HEAD_M, smoothRim } from '../../src/weir/smooth.ts'
import { toothedRim } from '../../src/weir/toothed.ts'

const MM = 0.001

/** The flow law of a row's rim. */
function law(row: Row): RimLaw {
  const depthBelowM = number(row, 'depth_below_rim_mm') * MM
  if (row.kind === 'smooth') {
    return smoothRim({ lengthM: number(row, 'length_mm') * MM, depthBelowM })
  }
  return toothedRim({
    slotWidthM: number(row, 'slot_width_mm') * MM,
    pitchM: number(row, 'pitch_mm') * MM,
    heightM: number(row, 'tooth_height_mm') * MM,
    count: number(row, 'slots'),
    blockedShare: number(row, 'blocked_share'),
    depthBelowM,
    rimAboveM: number(row, 'rim_above_mm') * MM,
  })
}

describe('rims against the check table', () => {
  test.each(csvTable('weirs.csv').map((row) => [row.case!, row] as const))('%s', (name, row) => {
    const rim = law(row)
    const headM = number(row, 'head_mm') * MM
    const flow = number(row, 'flow_L_h') * L_PER_H
    if (row.direction === 'head_to_flow') expectClose(name, flowOver(rim, headM), flow, 1e-6)
    else expectClose(name, headOver(rim, flow), headM, 1e-5)
    expect(headM < LEAST_MEASURED_HEAD_M).toBe(row.below_30_mm === 'yes')
    expectClose(`${name} band`, rimSpread(headM) * flow, number(row, 'band_flow_L_h') * L_PER_H)
    expectClose(`${name} band of head`, rimHeadSpreadM(headM), number(row, 'band_head_mm') * MM)
    if (row.over_teeth) {
      expect(headM > number(row, 'tooth_height_mm') * MM).toBe(row.over_teeth === 'yes')
    }
  })
})

describe('an overflow rim', () => {
  const smooth: Rim = { lengthM: 0.3, depthBelowM: 0.4, teeth: null, guard: null, openAbove: true }
  const toothed: Rim = {
    ...smooth,
    teeth: { slotWidthM: 0.006, pitchM: 0.012, heightM: 0.02, blockedShare: 0 },
  }

  test.each([smooth, toothed])('the head of a flow gives that flow back', (rim) => {
    for (const litres of [1, 60, 600, 2400, 9000]) {
      const flow = litres * L_PER_H
      expectClose(`${litres} L/h`, rimFlow(rim, rimHeadM(rim, flow)), flow, 1e-8)
    }
  })

  test('teeth, weed and a guard each ask for more head', () => {
    const flow = 2000 * L_PER_H
    const heads = [
      rimHeadM(smooth, flow),
      rimHeadM(toothed, flow),
      rimHeadM({ ...toothed, teeth: { ...toothed.teeth!, blockedShare: 0.3 } }, flow),
      rimHeadM(
        {
          ...toothed,
          teeth: { ...toothed.teeth!, blockedShare: 0.3 },
          guard: { openShare: 0.6, leastOpeningM: 0.003 },
        },
        flow,
      ),
    ]
    for (let i = 1; i < heads.length; i++) expect(heads[i]).toBeGreaterThan(heads[i - 1]!)
  })

  test('water on the far side below the crest changes nothing; above it the rim drowns', () => {
    const flow = 2000 * L_PER_H
    expect(rimHeadM(smooth, flow, -0.1)).toBe(rimHeadM(smooth, flow))
    const free = rimHeadM(smooth, flow)
    expect(rimHeadM(smooth, flow, free)).toBeGreaterThan(free)
    expect(drownedShare(0.02, 0.02)).toBe(0)
    expect(drownedShare(0.02, 0.01)).toBeCloseTo((1 - 0.5 ** 1.5) ** 0.385, 12)
  })

  test.each([smooth, toothed])('its slope is the slope of its flow', (rim) => {
    const at = { value: 0, slope: 0 }
    for (const headM of [0.002, 0.008, 0.019, 0.03]) {
      rimLaw(rim)(headM, at)
      const step = 1e-7
      const chord = (rimFlow(rim, headM + step) - rimFlow(rim, headM - step)) / (2 * step)
      expectClose(`at ${headM}`, at.slope, chord, 1e-5)
    }
  })

  test('nothing flows at no head, and no flow needs none', () => {
    expect(rimFlow(smooth, 0)).toBe(0)
    expect(rimHeadM(smooth, 0)).toBe(0)
  })

  test('a rim of three hundred millimetres at twelve a pitch has twenty-five slots', () => {
    expect(slotCount(0.3, toothed.teeth!)).toBe(25)
    expect(slotCount(0.299, toothed.teeth!)).toBe(24)
  })

  test('a rim with nothing open says so', () => {
    expect(rimHeadM({ ...smooth, lengthM: 0 }, 1e-4)).toBe(Infinity)
  })
})
