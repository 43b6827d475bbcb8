import { describe, expect, test } from '@jest/globals'
import { flatMap } from '../../src/numeric/flat-map.ts'
import { memoize, memoizeWith } from '../../src/numeric/memoize.ts'

describe('an answer that is kept', () => {
  test('is worked out once for an object, and anew for another of the same looks', () => {
    let asked = 0
    const doubled = memoize(({ side }: { side: number }) => {
      asked++
      return 2 * side
    })
    const square = { side: 3 }
    expect([doubled(square), doubled(square), asked]).toEqual([6, 6, 1])
    expect([doubled({ side: 3 }), asked]).toEqual([6, 2])
  })

  test('serves while what stands beside it is the same, and no longer', () => {
    let asked = 0
    const area = memoizeWith(
      ({ side }: { side: number }, height: number) => {
        asked++
        return side * height
      },
      (before, now) => before === now,
    )
    const wall = { side: 3 }
    expect([area(wall, 2), area(wall, 2), asked]).toEqual([6, 6, 1])
    expect([area(wall, 4), area(wall, 2), asked]).toEqual([12, 6, 3])
  })
})

test('gathering gives what flatMap gives', () => {
  const lists = [[], [1], [2, 3]]
  const of = (list: number[], i: number) => list.map((item) => item * 10 + i)
  expect(flatMap(lists, of)).toEqual(lists.flatMap(of))
})
