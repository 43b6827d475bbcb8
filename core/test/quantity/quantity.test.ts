import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { editable, measured, show, showBand, showText } from '../../src/quantity/format.ts'
import { parseQuantity } from '../../src/quantity/parse.ts'
import { say, sentence } from '../../src/quantity/sentence.ts'
import { QUANTITIES, type QuantityName, type UnitFamily } from '../../src/quantity/units.ts'

describe('what a keeper types', () => {
  test.each<[string, QuantityName, UnitFamily, number]>([
    ['400 mm', 'length', 'us', 0.4],
    ['400', 'length', 'metric', 0.4],
    ['16', 'length', 'us', 0.4064],
    ['1 1/4 in', 'length', 'metric', 0.03175],
    ['3/4"', 'length', 'metric', 0.01905],
    ['3 ft 2 in', 'length', 'metric', 0.9652],
    ['3\' 2"', 'length', 'metric', 0.9652],
    ['25cm', 'length', 'metric', 0.25],
    ['0,5 m', 'length', 'metric', 0.5],
    ['1,200 mm', 'length', 'metric', 1.2],
    ['1 200 mm', 'length', 'metric', 1.2],
    ['600 gph', 'flow', 'metric', (600 * 3.785411784e-3) / 3600],
    ['2 840 L/h', 'flow', 'us', 2840 / 3.6e6],
    ['2.5 m3/h', 'flow', 'metric', 2.5 / 3600],
    ['78 °F', 'temperature', 'metric', 25.5555556],
    ['25.5', 'temperature', 'metric', 25.5],
    ['77', 'temperature', 'us', 25],
    ['85%', 'share', 'metric', 0.85],
    ['-40 mm', 'length', 'metric', -0.04],
    ['1.2e3 mm', 'length', 'metric', 1.2],
    ['20 lb', 'mass', 'metric', 9.0718474],
    ['2 g/cm3', 'density', 'metric', 2000],
    ['½"', 'length', 'metric', 0.0127],
    ['1½"', 'length', 'metric', 0.0381],
    ['1 ¼ in', 'length', 'us', 0.03175],
    ['1-1/4 in', 'length', 'metric', 0.03175],
    ['1 1⁄4″', 'length', 'metric', 0.03175],
    ['4\'3"', 'length', 'metric', 1.2954],
    ['4’3”', 'length', 'metric', 1.2954],
    ["4'3", 'length', 'us', 1.2954],
    ['1m20', 'length', 'metric', 1.2],
    ['1 m 20', 'length', 'us', 1.2],
    ['1m205', 'length', 'metric', 1.205],
    ['1,2 m', 'length', 'metric', 1.2],
    ['3,000 L/h', 'flow', 'metric', 3000 / 3.6e6],
    ['2000 L / h', 'flow', 'us', 2000 / 3.6e6],
    ['3.000,5', 'flow', 'metric', 3000.5 / 3.6e6],
    ['1.200.000 L/h', 'flow', 'metric', 1.2e6 / 3.6e6],
    ['1’200 L/h', 'flow', 'metric', 1200 / 3.6e6],
    ["1'200", 'flow', 'metric', 1200 / 3.6e6],
    ['12.', 'flow', 'metric', 12 / 3.6e6],
  ])('%s as %s in %s', (text, quantity, family, si) => {
    const parsed = parseQuantity(text, quantity, family)
    expect(parsed.ok && parsed.si).toBeCloseTo(si, 7)
  })
  test.each<[string, QuantityName, UnitFamily, readonly number[]]>([
    ['3.000 L/h', 'flow', 'metric', [3000 / 3.6e6]],
    ['3.000', 'flow', 'metric', [3000 / 3.6e6]],
    ['12.500 mm', 'length', 'metric', [12.5]],
    // Who writes in gallons and inches writes a decimal point; a nil before it groups nothing.
    ['3.000 gph', 'flow', 'metric', []],
    ['3.000', 'flow', 'us', []],
    ['0.500 m', 'length', 'metric', []],
    ['3.00 L/h', 'flow', 'metric', []],
    ['3,000 L/h', 'flow', 'metric', []],
    ['1.234,5', 'flow', 'metric', []],
  ])('%s as %s in %s could be read as %j besides', (text, quantity, family, others) => {
    const parsed = parseQuantity(text, quantity, family)
    expect(parsed.ok && parsed.others).toEqual(others.map((si) => expect.closeTo(si, 9)))
  })
  test.each<[string, string]>([
    ['', 'empty'],
    ['abc', 'not-a-number'],
    ['12 bananas', 'unknown-unit'],
    ['12 mm 5', 'unknown-unit'],
    ['1/0 in', 'not-a-number'],
    ['--3', 'not-a-number'],
    ['12 L/h', 'unknown-unit'],
    ['𝟙𝟚', 'not-a-number'],
    ['1'.repeat(400), 'not-a-number'],
  ])('%s is refused', (text, reason) => {
    expect(parseQuantity(text, 'length', 'metric')).toMatchObject({ ok: false, reason })
  })
})

describe('what is shown', () => {
  test('groups thousands, keeps the digits that count, follows the family', () => {
    expect(showText({ quantity: 'flow', si: 2840.4 / 3.6e6 }, 'metric')).toBe('2\u202f840\u00a0L/h')
    expect(show({ quantity: 'flow', si: 2840 / 3.6e6 }, 'us')).toEqual({
      number: '750',
      unit: 'gph',
    })
    expect(showText({ quantity: 'share', si: 0.851 }, 'metric')).toBe('85%')
    expect(showText({ quantity: 'length', si: -0.04 }, 'metric')).toBe('\u221240.0\u00a0mm')
    expect(show({ quantity: 'head', si: NaN }, 'metric').number).toBe('–')
  })
  test('a band is a difference, and never hides behind its rounding', () => {
    expect(showBand({ quantity: 'temperature', si: 25 }, 1, 'us').number).toBe('1.8')
    expect(showBand({ quantity: 'flow', si: 91 / 3.6e6 }, 0.3 / 3.6e6, 'metric').number).toBe('0.3')
  })
  test('a value and its band stand to one place, the band to two figures', () => {
    const flow = (litres: number, band: number) => {
      const value = measured('flow', litres / 3.6e6, band / 3.6e6)
      return `${show(value, 'metric').number} ± ${showBand(value, band / 3.6e6, 'metric').number}`
    }
    expect(flow(1744.4, 173)).toBe('1\u202f740 ± 170')
    expect(flow(1744.4, 98.7)).toBe('1\u202f744 ± 99')
    expect(flow(1744.4, 99.7)).toBe('1\u202f740 ± 100')
    expect(flow(253.1, 8.32)).toBe('253 ± 8')
    expect(flow(53.14, 8.32)).toBe('53 ± 8')
    expect(flow(-797.3, 46)).toBe('−797 ± 46')
    const head = measured('head', 0.9448, 0.0213)
    expect(`${show(head, 'metric').number} ± ${showBand(head, 0.0213, 'metric').number}`).toBe(
      '0.94 ± 0.02',
    )
    expect(say(sentence('{q}', { q: ['flow', 0.0005, 3e-5] }), 'metric')).toBe(
      '1\u202f800 ± 110\u00a0L/h',
    )
  })
  test('a field written and read again means the same', () => {
    const names = Object.keys(QUANTITIES).filter((name) => name !== 'number') as QuantityName[]
    fc.assert(
      fc.property(
        fc.constantFrom(...names),
        fc.constantFrom<UnitFamily>('metric', 'us'),
        fc.double({ min: 0.001, max: 9, noNaN: true }),
        (quantity, family, si) => {
          const parsed = parseQuantity(editable({ quantity, si }, family), quantity, family)
          const unit = QUANTITIES[quantity].shown[family]
          const shown = (si - (unit.offset ?? 0)) / unit.factor
          const digit = 10 ** -(unit.decimals(shown) + 2) * unit.factor
          expect(parsed.ok && Math.abs(parsed.si - si)).toBeLessThanOrEqual(digit)
        },
      ),
      { seed: 11, numRuns: 400 },
    )
  })
  test('a sentence reads in either family', () => {
    const said = sentence('{flow} over {lift}, {unknown}', {
      flow: ['flow', 1 / 3600],
      lift: ['head', 1.2],
    })
    expect(say(said, 'metric')).toBe('1\u202f000\u00a0L/h over 1.20\u00a0m, {unknown}')
    expect(say(said, 'us')).toBe('264\u00a0gph over 3.94\u00a0ft, {unknown}')
  })
})

describe('a time', () => {
  test.each<[number, string]>([
    [90 * 86_400, '90.0\u00a0d'],
    [10 * 365.25 * 86_400, '10\u00a0y'],
    [10_889_863 * 86_400, 'over 100\u00a0y'],
    [Infinity, 'never'],
  ])('of %d s is told as %s', (si, told) => {
    expect(showText(measured('duration', si), 'metric')).toBe(told)
  })
  test('that is not known is a dash, and no figure', () => {
    expect(showText(measured('duration', NaN), 'us')).toBe('–')
    expect(showText(measured('days', Infinity), 'us')).toBe('never')
  })
})
