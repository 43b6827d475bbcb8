import { describe, expect, test } from '@jest/globals'
import { cutText, tapeInches } from '../../src/quantity/tape.ts'

const INCH_M = 0.0254

describe('inches as a tape has them', () => {
  test.each([
    [13 + 3 / 32, 32, '13 3/32'],
    [13 + 3 / 32 + 1 / 100, 32, '13 3/32'],
    [12.999, 32, '13'],
    [0.5, 64, '1/2'],
    [7 / 64, 64, '7/64'],
    [7 / 64, 32, '1/8'],
    [11.8125, 64, '11 13/16'],
    [0, 64, '0'],
    [-2.25, 32, '−2 1/4'],
  ] as const)('%d in to the %dth is %s', (inches, parts, words) => {
    expect(tapeInches(inches * INCH_M, parts)).toBe(words)
  })
  test('is never off by more than half a part', () => {
    for (let mm = 1; mm < 900; mm += 7.3) {
      const [whole = '0', part] = tapeInches(mm / 1000, 64).split(' ')
      const value = (text: string) => {
        const [over, under = '1'] = text.split('/')
        return Number(over) / Number(under)
      }
      const inches = value(whole) + (part ? value(part) : 0)
      expect(Math.abs(inches - mm / 25.4)).toBeLessThanOrEqual(0.5 / 64 + 1e-9)
    }
  })
  test('stands with its decimal beside it; millimetres need none', () => {
    expect(cutText(0.3325, 'us', 64)).toBe('13 3/32\u00a0in (13.091)')
    expect(cutText(0.3325, 'us', 32)).toBe('13 3/32\u00a0in (13.09)')
    expect(cutText(0.3325, 'metric', 64)).toBe('332.5\u00a0mm')
    expect(cutText(0.33242, 'metric', 32)).toBe('332.5\u00a0mm')
    expect(cutText(1.2, 'metric', 32)).toBe('1\u202f200\u00a0mm')
  })
})
