import { describe, expect, test } from '@jest/globals'
import { pieces } from '../a-basin.ts'
import { parseQuantity } from '../../src/quantity/parse.ts'
import { editable, show, showBand, showText } from '../../src/quantity/format.ts'
import {
  fromSi,
  QUANTITIES,
  type QuantityName,
  toSi,
  type UnitFamily,
} from '../../src/quantity/units.ts'
import { readNotation, writeNotation } from '../../src/run/notation.ts'

const NAMES = Object.keys(QUANTITIES) as QuantityName[]
const FAMILIES: readonly UnitFamily[] = ['metric', 'us']
const EACH = NAMES.flatMap((name) => FAMILIES.map((family) => [name, family] as const))
/** Sizes a keeper meets of anything, SI. */
const SIZES = [0, 1e-4, 0.0123, 0.5, 1, 7.25, 40]

describe.each(EACH)('%s in %s units', (name, family) => {
  const { shown, alsoTyped } = QUANTITIES[name]
  const unit = shown[family]

  test('comes back from its unit as it went in', () => {
    for (const si of SIZES) expect(toSi(unit, fromSi(unit, si))).toBeCloseTo(si, 9)
  })

  test('is read as it is written in a field, to what the field shows', () => {
    for (const si of SIZES) {
      const written = editable({ quantity: name, si }, family)
      const read = parseQuantity(written, name, family)
      expect([written, read.ok]).toEqual([written, true])
      if (!read.ok) continue
      const digits = unit.decimals(fromSi(unit, si))
      const half = Math.abs(toSi(unit, 0.5 * 10 ** -digits + 1e-9) - toSi(unit, 0))
      expect(Math.abs(read.si - si)).toBeLessThanOrEqual(half * 1.000001 + Math.abs(si) * 1e-6)
    }
  })

  test('is taken in any unit that may be typed, with or without a blank', () => {
    for (const other of [unit, ...alsoTyped]) {
      for (const typed of other.typed) {
        for (const blank of ['', ' ']) {
          const text = `2${blank}${typed}`
          const read = parseQuantity(text, name, family)
          expect([text, read.ok]).toEqual([text, true])
        }
      }
    }
  })

  test('is shown with a unit, and a band to the place of its figure', () => {
    for (const si of SIZES) {
      expect(showText({ quantity: name, si }, family)).not.toMatch(/NaN|undefined|Infinity/)
      const band = showBand({ quantity: name, si }, si / 20, family)
      expect(band.number).not.toMatch(/NaN|undefined/)
      expect(show({ quantity: name, si }, family).number).not.toBe('')
    }
  })

  test.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['x', 'not-a-number'],
    ['--', 'not-a-number'],
    ['3 furlongs', 'unknown-unit'],
  ] as const)('%j is refused: %s', (nonsense, reason) => {
    expect(parseQuantity(nonsense, name, family)).toMatchObject({ ok: false, reason })
  })
})

test('a unit with a number in it is read as it is shown', () => {
  for (const typed of ['2 g/100 L', '2g/100l', '2 G/100 L']) {
    expect(parseQuantity(typed, 'food-load', 'metric')).toMatchObject({ ok: true })
  }
  expect(parseQuantity('3 L/h/cm²', 'air-per-neck', 'metric')).toMatchObject({ ok: true })
  // A number behind a unit is still the next part of a length.
  expect(parseQuantity('3ft2in', 'length', 'us')).toMatchObject({ ok: true })
  const feet = parseQuantity('3 ft 2 in', 'length', 'us')
  expect(feet.ok && feet.si).toBeCloseTo(38 * 0.0254, 12)
})

describe('a run as one typed line', () => {
  const LINES = [
    'up 400 mm, elbow, left 25 cm, union, gate 60%, up 3 ft, nozzle 20 mm',
    'union, check, up 1.2 m, 45, left 300 mm, ball 35%',
    'up 1 m, to 1/2, gate, left 300 mm, bulkhead',
    'bend, front 2 m, sweep, back 1 ft, down 60 mm',
    'up 300 mm, sterilizer k 5, up 200 mm, reactor kv 3, nozzle 12 mm',
    'tee, up 100 mm, tee straight, up 100 mm, tee split',
  ]

  test.each(LINES)('%s reads back as itself, in either family', (typed) => {
    const first = pieces(typed)
    for (const family of FAMILIES) {
      const written = writeNotation(first, family)
      let n = 0
      const read = readNotation(
        written,
        family,
        { size: { series: 'schedule-40', size: '1 1/4', boreM: null }, pieces: [] },
        () => `q${++n}`,
      )
      if (!read.ok) throw new Error(`${written}: ${read.faults[0]!.message}`)
      expect(read.pieces).toHaveLength(first.length)
      for (const [i, piece] of read.pieces.entries()) {
        const was = first[i]!
        expect(piece.kind).toBe(was.kind)
        if (piece.kind === 'pipe' && was.kind === 'pipe') {
          expect(piece.direction).toBe(was.direction)
          expect(Math.abs(piece.lengthM - was.lengthM)).toBeLessThan(0.001)
        }
        if (piece.kind === 'valve' && was.kind === 'valve') {
          expect([piece.form, Math.round(100 * piece.opening)]).toEqual([
            was.form,
            Math.round(100 * was.opening),
          ])
        }
      }
    }
  })

  test('keeps the ids of what is already there, so that nothing that hangs on it is lost', () => {
    const first = pieces(LINES[0]!)
    const run = {
      size: { series: 'schedule-40', size: '1 1/4', boreM: null } as const,
      pieces: first,
    }
    const longer = `${writeNotation(first, 'metric')}, up 10 mm`
    const read = readNotation(longer, 'metric', run, () => 'new')
    expect(read.ok && read.pieces.map(({ id }) => id)).toEqual([
      ...first.map(({ id }) => id),
      'new',
    ])
  })
})
