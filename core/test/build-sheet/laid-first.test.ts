import { describe, expect, test } from '@jest/globals'
import { comesOut } from '../../src/build-sheet/assembly/laid-first.ts'
import { panelsOf, type Slab } from '../../src/build-sheet/reach/solid.ts'

/** A stick of 40 mm along an axis. */
function stick(axis: 0 | 1 | 2, from: number, to: number, at: readonly [number, number]): Slab {
  const across = [...at]
  return [0, 1, 2].map((own) => {
    if (own === axis) return [from, to]
    const middle = across.shift()!
    return [middle - 0.02, middle + 0.02]
  }) as unknown as Slab
}
const FLOOR: Slab = [
  [-9, 9],
  [-9, 9],
  [-9, 0],
]
const SUMP = panelsOf({
  xM: 0,
  yM: 0,
  floorHeightM: 0.05,
  lengthM: 1,
  widthM: 0.4,
  heightM: 0.35,
  panelM: 0.01,
})
/** A tank's floor at so much over the room's, wider than the sump. */
const tankFloor = (heightM: number): Slab => [
  [-0.5, 1.5],
  [-0.5, 0.9],
  [heightM - 0.01, heightM],
]
const ABOUT = [FLOOR, ...SUMP]
/** A drain's lower end: aside under the tank at a height, then down into the sump. */
const tail = (heightM: number): Slab[] => [
  stick(1, 0.2, 0.6, [0.5, heightM]),
  stick(2, 0.1, heightM, [0.5, 0.2]),
]

describe('what hangs in the sump', () => {
  test('is drawn up and away while no tank stands over it', () => {
    expect(comesOut(tail(0.6), ABOUT)).toBe(true)
  })
  test('can’t be lifted out under a tank that leaves less than its end is deep', () => {
    expect(comesOut(tail(0.6), [...ABOUT, tankFloor(0.8)])).toBe(false)
  })
  test('is lifted and drawn aside where there is room over it', () => {
    expect(comesOut(tail(0.6), [...ABOUT, tankFloor(1.2)])).toBe(true)
  })
  test('comes out between two sides where the third is open', () => {
    const open = SUMP.filter((_, i) => i !== 3)
    expect(comesOut(tail(0.6), [FLOOR, ...open, tankFloor(0.8)])).toBe(true)
  })
})

test('a straight length is drawn out along itself', () => {
  const inside = stick(0, 0.1, 0.9, [0.2, 0.2])
  expect(comesOut([inside], ABOUT)).toBe(true)
  expect(comesOut([inside], [...ABOUT, tankFloor(0.41)])).toBe(false)
})

test('what passes a panel as it stands goes through a hole of it, and is not held by it', () => {
  const through = stick(0, 0.5, 1.5, [0.2, 0.2])
  const lid = tankFloor(0.41)
  expect(comesOut([through], [...ABOUT, lid])).toBe(true)
})

test('what only touches does not hold', () => {
  const beside: Slab = [
    [0, 0.1],
    [0.1, 0.2],
    [0, 0.1],
  ]
  const walls = panelsOf({
    xM: 0,
    yM: 0.1,
    floorHeightM: 0,
    lengthM: 0.1,
    widthM: 0.1,
    heightM: 0.3,
    panelM: 0.01,
  })
  expect(comesOut([beside], [FLOOR, ...walls])).toBe(true)
})
