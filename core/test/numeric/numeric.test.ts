import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { brent } from '../../src/numeric/brent.ts'
import { cubicHermite } from '../../src/numeric/hermite.ts'
import { evaluatePchip, makePchip } from '../../src/numeric/pchip.ts'

describe('Brent', () => {
  test.each([
    { of: 'a line', f: (x: number) => 2 * x - 1, low: 0, high: 3, root: 0.5 },
    {
      of: 'a cubic with a flat place',
      f: (x: number) => (x - 1) ** 3,
      low: -2,
      high: 4.5,
      root: 1,
    },
    {
      of: 'cos x = x',
      f: (x: number) => Math.cos(x) - x,
      low: 0,
      high: 1,
      root: 0.7390851332151607,
    },
    {
      of: 'a steep exponential',
      f: (x: number) => Math.exp(20 * x) - 2,
      low: -1,
      high: 1,
      root: Math.LN2 / 20,
    },
  ])('$of', ({ f, low, high, root }) => {
    const found = brent(f, low, high, { tolerance: 1e-13, maxIterations: 300 })
    expect(found.ok && Math.abs(found.value - root)).toBeLessThan(1e-4)
  })
  test('needs few steps on a smooth function', () => {
    const found = brent((x) => x ** 3 - 2, 0, 4, { tolerance: 1e-13 })
    expect(found.ok && found.value).toBeCloseTo(Math.cbrt(2), 12)
    expect(found.iterations).toBeLessThan(15)
  })
  test('says when the ends have one sign, and when it runs out of steps', () => {
    expect(brent((x) => x * x + 1, -1, 1, { tolerance: 1e-9 })).toMatchObject({
      ok: false,
      reason: 'not-bracketed',
    })
    expect(brent((x) => x - 0.3, 0, 1, { tolerance: 1e-15, maxIterations: 0 })).toMatchObject({
      reason: 'too-many-iterations',
    })
  })
  test('refuses bounds that are no numbers', () => {
    expect(() => brent((x) => x, NaN, 1, { tolerance: 1e-9 })).toThrow(RangeError)
  })
  test('an end that is the root is the answer', () => {
    expect(brent((x) => x, 0, 1, { tolerance: 1e-9 })).toMatchObject({ ok: true, value: 0 })
    expect(brent((x) => x - 1, 0, 1, { tolerance: 1e-9 })).toMatchObject({ ok: true, value: 1 })
  })
})

describe('PCHIP', () => {
  const falling = fc
    .array(
      fc.tuple(
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
      ),
      { minLength: 2, maxLength: 12 },
    )
    .map((steps) => {
      let x = 0
      let y = 100
      return steps.map(([dx, dy]) => [(x += dx), (y -= dy)] as const)
    })
  test('never rises through falling points, and passes through them', () => {
    fc.assert(
      fc.property(falling, (points) => {
        const curve = makePchip(
          points.map(([x]) => x),
          points.map(([, y]) => y),
        )
        for (const [x, y] of points) expect(evaluatePchip(curve, x)).toBeCloseTo(y, 9)
        let before = Infinity
        const [from, to] = [points[0]![0], points.at(-1)![0]]
        for (let i = 0; i <= 200; i++) {
          const y = evaluatePchip(curve, from + ((to - from) * i) / 200)
          expect(y).toBeLessThanOrEqual(before + 1e-9)
          before = y
        }
      }),
      { seed: 7, numRuns: 100 },
    )
  })
  test('two points are a straight line', () => {
    expect(evaluatePchip(makePchip([0, 2], [1, 5]), 0.5)).toBeCloseTo(2, 12)
  })
  test('refuses one point and a flow that does not rise', () => {
    expect(() => makePchip([1], [1])).toThrow(/two points/)
    expect(() => makePchip([0, 0], [1, 2])).toThrow(/rise/)
  })
})

test('a cubic Hermite meets both ends in value', () => {
  const from = { x: 1, y: 2, slope: -3 }
  const to = { x: 4, y: 0, slope: 0.5 }
  expect(cubicHermite(from, to, 1)).toBeCloseTo(2, 12)
  expect(cubicHermite(from, to, 4)).toBeCloseTo(0, 12)
})
