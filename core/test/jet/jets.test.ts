import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { cell, csvTable, number, type Row } from '../tables.ts'
import { type Jet, jetSpeedAt, momentumOf, sectionOf, throwOf } from '../../src/jet/jet.ts'
import { planeJetAt } from '../../src/jet/plane-jet.ts'
import { acrossJet, type JetSection, roundJetAt } from '../../src/jet/round-jet.ts'
import { pointing } from '../../src/jet/vector.ts'

const ROWS = csvTable('jets.csv')

function sectionOfRow(row: Row): JetSection {
  const exitSpeedMPerS = number(row, 'exit_speed_m_s')
  const xM = number(row, 'x_m')
  return row.kind === 'round'
    ? roundJetAt({ boreM: number(row, 'nozzle_bore_mm') / 1000, exitSpeedMPerS }, xM)
    : planeJetAt(
        { exitSpeedMPerS, momentumPerWidthM3PerS2: number(row, 'momentum_per_width_m3_s2') },
        xM,
      )
}

describe('the check table', () => {
  test.each(ROWS.map((row) => [row.case, row] as const))('%s', (_, row) => {
    const section = sectionOfRow(row)
    expectClose('centreline', section.centrelineMPerS, number(row, 'centreline_m_s'))
    expectClose('half-width', section.halfWidthM, number(row, 'half_width_m'))
    const speed = cell(row, 'speed_m_s')
    if (speed !== null) expectClose('speed', acrossJet(section, number(row, 'offset_m')), speed)
  })
})

const round: Jet = {
  from: { x: 0.1, y: 0.3, z: 0.4 },
  towards: { x: 1, y: 0, z: 0 },
  exitSpeedMPerS: 0.8,
  boreM: 0.05,
  slot: null,
}
const slot: Jet = {
  ...round,
  boreM: Math.sqrt((4 / Math.PI) * 0.2 * 0.016),
  slot: { lengthM: 0.2, widthM: 0.016, along: { x: 0, y: 0, z: 1 } },
}

describe('a stream in space', () => {
  test('keeps U₀² A', () => {
    expectClose('momentumOf', momentumOf(round), (Math.PI / 4) * 0.05 ** 2 * 0.8 ** 2, 1e-12)
    expectClose('momentumOf', momentumOf(slot), 0.2 * 0.016 * 0.8 ** 2, 1e-12)
  })
  test('is zero behind its opening and fastest on its middle line', () => {
    expect(jetSpeedAt(round, { x: 0.05, y: 0.3, z: 0.4 })).toBe(0)
    const middle = jetSpeedAt(round, { x: 0.9, y: 0.3, z: 0.4 })
    expectClose('middle', middle, (6.2 * 0.8 * 0.05) / 0.8, 1e-9)
    expect(jetSpeedAt(round, { x: 0.9, y: 0.35, z: 0.4 })).toBeLessThan(middle)
  })
  test('of a slot is a sheet along it and falls off past its ends', () => {
    const at = (y: number, z: number) => jetSpeedAt(slot, { x: 0.5, y, z })
    expect(at(0.3, 0.49)).toBeCloseTo(at(0.3, 0.4), 9)
    expect(at(0.3, 0.53)).toBeLessThan(at(0.3, 0.49))
    expect(at(0.33, 0.4)).toBeLessThan(at(0.3, 0.4))
  })
  test('of a slot is never faster than the round one of its momentum, far out', () => {
    const near = sectionOf(slot, 0.5).centrelineMPerS
    expectClose('near', near, 2.41 * Math.sqrt((0.8 ** 2 * 0.016) / 0.5), 1e-9)
    const far = sectionOf(slot, 5).centrelineMPerS
    expectClose('far', far, (6.2 * 0.8 * slot.boreM) / 5, 1e-9)
  })
  test('throws as far as its law says', () => {
    expectClose('throwOf', throwOf(round, 0.1), (6.2 * 0.8 * 0.05) / 0.1, 1e-6)
    expect(throwOf(round, 0.9)).toBe(0)
  })
})

test('turn and tilt point: right, back, up', () => {
  const shown = (turn: number, tilt: number) => {
    const { x, y, z } = pointing(turn, tilt)
    return [x, y, z].map((part) => Math.round(part * 1e9) / 1e9 + 0)
  }
  expect(shown(0, 0)).toEqual([1, 0, 0])
  expect(shown(90, 0)).toEqual([0, 1, 0])
  expect(shown(180, 0)).toEqual([-1, 0, 0])
  expect(shown(30, 90)).toEqual([0, 0, 1])
})
