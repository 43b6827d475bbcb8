import { describe, expect, test } from '@jest/globals'
import type { BasinDesign, Piece } from '@yew-basin/core'
import { LIMITS } from '@yew-basin/contract/limits'
import { rangeText } from '../src/bench/range.ts'
import { readSalinity, writeSalinity } from '../src/bench/salinity.ts'
import { pieceFault } from '../src/run/piece-fault.ts'
import { scaleFor, scaleWords } from '../src/section/scale.ts'
import { differences, fieldWords } from '../src/workspace/differences.ts'

describe('salinity as a keeper types it', () => {
  test.each([
    ['35', 35],
    ['33.5 ppt', 33.5],
    ['1.0264', 35.04],
    ['1.026 SG', 34.5],
    ['53.06 mS/cm', 35],
    ['0', 0],
    ['1.0', 0],
  ])('%s', (text, ppt) => {
    const read = readSalinity(text, 25, 'metric')
    expect(read.ok && read.ppt).toBeCloseTo(ppt, 1)
  })
  test.each(['1.09', '60', 'salty', '-3', '', '200 mS/cm'])(
    '%s is refused with what is possible',
    (text) => {
      const read = readSalinity(text, 25, 'metric')
      expect(!read.ok && read.fault).toMatch(/Possible: 0–42 ppt/)
    },
  )
  test('is written as the family reads it', () => {
    expect(writeSalinity(35, 25, 'metric')).toBe('35')
    expect(writeSalinity(35, 25, 'us')).toBe('1.0264')
  })
})

test('a range is said in the shown unit', () => {
  expect(rangeText(LIMITS.speed, 'metric')).toBe('5.0–100 %')
  expect(rangeText(LIMITS.tankLength, 'us')).toBe('3.94–394 in')
})

describe('a typed piece that cannot be', () => {
  test.each<[Piece, RegExp | null]>([
    [{ id: 'a', kind: 'pipe', direction: 'up', lengthM: 99 }, /a length can be 1.0–30 000 mm/],
    [{ id: 'a', kind: 'nozzle', boreM: 0.5 }, /a bore can be/],
    [{ id: 'a', kind: 'valve', form: 'diaphragm', opening: 0.5, kvM3PerH: null }, /open or shut/],
    [{ id: 'a', kind: 'check-valve', form: 'swing', kvM3PerH: 9999 }, /a Kv can be/],
    [{ id: 'a', kind: 'union' }, null],
    [{ id: 'a', kind: 'bulkhead', boreM: null }, null],
  ])('%j', (piece, message) => {
    const fault = pieceFault(piece, 'metric')?.replace(/\u202f/g, ' ') ?? null
    if (message) expect(fault).toMatch(message)
    else expect(fault).toBeNull()
  })
})

describe('the section’s scale', () => {
  const room = { left: 0, right: 1.4, bottom: 0, top: 1.5 }
  test('is the same both ways and keeps the room on the sheet', () => {
    const scale = scaleFor(room, 730, 700)
    expect(scale.x(1) - scale.x(0)).toBeCloseTo(scale.y(0) - scale.y(1), 9)
    expect(scale.x(0)).toBeGreaterThan(0)
    expect(scale.x(1.4)).toBeLessThan(730)
    expect(scale.y(1.5)).toBeGreaterThan(0)
    expect(scale.y(0)).toBeLessThan(700)
  })
  test('is said as a ratio', () => {
    expect(scaleWords(scaleFor(room, 730, 700))).toMatch(/^1 : \d/)
  })
})

describe('what differs between two designs', () => {
  test('is named leaf by leaf, lists as a whole', () => {
    const base = { tank: { lengthM: 1, waterLevelM: 0.4 }, returnSide: { run: { pieces: [1] } } }
    const other = { tank: { lengthM: 1, waterLevelM: 0.5 }, returnSide: { run: { pieces: [2] } } }
    const found = differences(base as unknown as BasinDesign, other as unknown as BasinDesign)
    expect(found.map((difference) => difference.where)).toEqual([
      'tank, water level',
      'return side, run, pieces',
    ])
  })
  test('nothing between equals', () => {
    expect(
      differences({ a: 1 } as unknown as BasinDesign, { a: 1 } as unknown as BasinDesign),
    ).toEqual([])
  })
  test('names lose their unit', () => {
    expect([
      fieldWords('rockDensityKgPerM3'),
      fieldWords('turnoverPerH'),
      fieldWords('salinityPpt'),
    ]).toEqual(['rock density', 'turnover', 'salinity'])
  })
})
