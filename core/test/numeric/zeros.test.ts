import { wholeZeros, writeOver, zeros } from '../../src/numeric/zeros.ts'
import { expect, test } from '@jest/globals'

test.each([0, 1, 7, 256, 257, 1000, 1025])('%i zeros are so many, and nobody else’s', (length) => {
  const list = zeros(length)
  expect(list).toEqual(Array.from({ length }, () => 0))
  list.fill(0.5)
  expect(zeros(length)).toEqual(Array.from({ length }, () => 0))
  const whole = wholeZeros(length)
  expect(whole).toEqual(Array.from({ length }, () => 0))
  whole.fill(1)
  expect(wholeZeros(length)).toEqual(Array.from({ length }, () => 0))
})

test('one list is written over another and stays its own', () => {
  const from = [1.5, -2, Infinity]
  const into = zeros(3)
  writeOver(into, from)
  expect(into).toEqual(from)
  from[0] = 9
  expect(into[0]).toBe(1.5)
})
