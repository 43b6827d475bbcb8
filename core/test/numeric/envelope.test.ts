import { makeEnvelope, solveEnvelope } from '../../src/numeric/envelope.ts'
import { zeros } from '../../src/numeric/zeros.ts'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'

/** M x by the packed rows, for holding an answer against its question. */
function times(
  envelope: ReturnType<typeof makeEnvelope>,
  matrix: number[],
  x: readonly number[],
): number[] {
  const { size, first, end } = envelope
  const product = Array.from({ length: size }, () => 0)
  for (let i = 0; i < size; i++) {
    for (let j = first[i]!; j <= i; j++) {
      const value = matrix[end[i]! - (i - j)]!
      product[i]! += value * x[j]!
      if (j < i) product[j]! += value * x[i]!
    }
  }
  return product
}

describe('an envelope', () => {
  test('holds each row from its first entry to its diagonal and nothing more', () => {
    const envelope = makeEnvelope(4, [
      [0, 1],
      [3, 1],
    ])
    expect([...envelope.first]).toEqual([0, 0, 2, 1])
    expect(envelope.length).toBe(1 + 2 + 1 + 3)
  })
  test('a matrix without entries beside its diagonal is divided by it', () => {
    const envelope = makeEnvelope(3, [])
    const b = [2, 9, 20]
    solveEnvelope(envelope, [2, 3, 5], b)
    expect([...b]).toEqual([1, 3, 4])
  })
  test('solves what it is asked, for any network of resistances', () => {
    const link = fc.tuple(fc.nat(9), fc.nat(9), fc.double({ min: 0.01, max: 100, noNaN: true }))
    fc.assert(
      fc.property(
        fc.array(link, { minLength: 5, maxLength: 25 }),
        fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 10, maxLength: 10 }),
        (links, wanted) => {
          const pairs = links.filter(([i, j]) => i !== j)
          const envelope = makeEnvelope(
            10,
            pairs.map(([i, j]) => [i, j] as const),
          )
          const matrix = zeros(envelope.length)
          // A little to the ground at every node keeps it positive definite.
          for (let i = 0; i < 10; i++) matrix[envelope.end[i]!] = 0.5
          for (const [i, j, y] of pairs) {
            const [low, high] = i < j ? [i, j] : [j, i]
            matrix[envelope.end[i]!]! += y
            matrix[envelope.end[j]!]! += y
            matrix[envelope.end[high]! - (high - low)]! -= y
          }
          const b = Array.from(times(envelope, matrix, wanted))
          solveEnvelope(envelope, matrix, b)
          b.forEach((x, i) => expect(Math.abs(x - wanted[i]!)).toBeLessThan(1e-9))
        },
      ),
      { seed: 8, numRuns: 200 },
    )
  })
  test('a matrix that is not positive definite gives no number', () => {
    const b = [1]
    solveEnvelope(makeEnvelope(1, []), [-1], b)
    expect(b[0]).toBeNaN()
  })
})
