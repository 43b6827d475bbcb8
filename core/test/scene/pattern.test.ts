import { describe, expect, test } from '@jest/globals'
import { JET_PART } from '../currents/a-domain.ts'
import { powerAtW } from '../../src/scene/part.ts'
import {
  levelAt,
  meanSquareLevel,
  type Pattern,
  type PatternKind,
} from '../../src/scene/pattern.ts'

const pattern = (kind: PatternKind, group: Pattern['group'] = 'first'): Pattern => ({
  kind,
  periodS: 8,
  low: 0.25,
  group,
})

describe('a pattern in time', () => {
  test('steady stays', () => {
    expect([0, 3, 99].map((t) => levelAt(pattern('steady'), t, 0))).toEqual([1, 1, 1])
  })
  test('pulse is on for half its turn', () => {
    expect([0, 3.9, 4.1, 7.9, 8.1].map((t) => levelAt(pattern('pulse'), t, 0))).toEqual([
      1, 1, 0.25, 0.25, 1,
    ])
  })
  test('in turns, one group is up while the other is down', () => {
    for (const t of [1, 3, 5, 7, 9]) {
      const first = levelAt(pattern('alternate'), t, 0)
      expect(first + levelAt(pattern('alternate', 'second'), t, 0)).toBe(1.25)
    }
  })
  test('reversing goes smoothly from one to the other', () => {
    const first = (t: number) => levelAt(pattern('reversing'), t, 0)
    expect(first(0)).toBe(1)
    expect(first(4)).toBeCloseTo(0.25, 9)
    expect(levelAt(pattern('reversing', 'second'), 0, 0)).toBeCloseTo(0.25, 9)
    expect(first(1)).toBeGreaterThan(first(2))
  })
  test('by chance holds, stays between low and full, and is told apart by its seed', () => {
    const levels = (seed: number) =>
      Array.from({ length: 200 }, (_, i) => levelAt(pattern('random'), i * 8 + 1, seed))
    expect(levelAt(pattern('random'), 1, 3)).toBe(levelAt(pattern('random'), 7, 3))
    expect(Math.min(...levels(3))).toBeGreaterThanOrEqual(0.25)
    expect(Math.max(...levels(3))).toBeLessThanOrEqual(1)
    expect(new Set(levels(3)).size).toBeGreaterThan(150)
    expect(levels(3)).not.toEqual(levels(4))
  })
  test.each(['steady', 'pulse', 'alternate', 'reversing', 'random'] as const)(
    'the mean square of %s is that of its levels',
    (kind) => {
      const many = 80_000
      let sum = 0
      for (let i = 0; i < many; i++) sum += levelAt(pattern(kind), i * 0.8 + 0.05, 1) ** 2
      expect(sum / many).toBeCloseTo(meanSquareLevel(pattern(kind)), 2)
    },
  )
})

test('power goes as the cube of the speed, of a pump whose speed can be set', () => {
  expect(powerAtW(JET_PART, 0.5)).toBeCloseTo(2.5, 9)
  expect(powerAtW({ ...JET_PART, control: 'fixed-speed' }, 0.5)).toBe(20)
})
