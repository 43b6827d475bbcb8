import { describe, expect, test } from '@jest/globals'
import { Scratch } from '../../src/numeric/scratch.ts'

describe('a list to reckon in', () => {
  test('grows with what is asked for, and is the same list until it must', () => {
    const scratch = new Scratch()
    const small = scratch.atLeast(5)
    expect(small.length).toBeGreaterThanOrEqual(5)
    expect(scratch.atLeast(small.length)).toBe(small)
    const large = scratch.atLeast(small.length + 1)
    expect(large.length).toBeGreaterThan(small.length)
    expect(scratch.atLeast(3)).toBe(large)
    expect(large.every((value) => Number.isFinite(value))).toBe(true)
  })
})
