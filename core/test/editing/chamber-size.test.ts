import { describe, expect, test } from '@jest/globals'
import { aLoop } from '../a-loop.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, chamberSpans, setTo, type Sump } from '../../src/design/index.ts'
import { withFollowing } from '../../src/editing/follow/following.ts'
import {
  chamberLengthRange,
  wallHolding,
  withChamberLength,
} from '../../src/editing/sump/chamber-size.ts'

const LOOP = aLoop()
const { sump } = LOOP
const lengths = (of: Sump) => chamberSpans(of, of.box!.lengthM).map(({ fromM, toM }) => toM - fromM)
const longest = lengths(sump).indexOf(Math.max(...lengths(sump)))

describe('a chamber lengthened in one move', () => {
  test.each(sump.chambers.map(({ name }, i) => [name, i] as const))(
    '%s: it alone is longer, and the longest other gives it',
    (_, index) => {
      const before = lengths(sump)
      const after = lengths(withChamberLength(sump, index, before[index]! + 0.03))
      expect(after[index]).toBeCloseTo(before[index]! + 0.03, 9)
      const changed = after.flatMap((length, i) =>
        Math.abs(length - before[i]!) > 1e-9 && i !== index ? [i] : [],
      )
      expect(changed.length).toBe(1)
      expect(changed[0] === longest || index === longest).toBe(true)
    },
  )
  test('as long as it may be, every wall still stands in its order', () => {
    const { leastM, mostM } = chamberLengthRange(sump, 0)!
    for (const lengthM of [leastM, mostM]) {
      const after = lengths(withChamberLength(sump, 0, lengthM))
      expect(Math.min(...after)).toBeGreaterThan(0.01)
      expect(after[0]).toBeCloseTo(lengthM, 3)
    }
  })
  test('an only chamber is as long as its sump', () => {
    const open = { ...sump, chambers: sump.chambers.slice(0, 1), walls: [] }
    expect(chamberLengthRange(open, 0)).toBeNull()
  })
})

describe('a chamber’s depth of water that is asked for', () => {
  const solved = solveBasin(LOOP)
  const returnIndex = sump.chambers.findIndex(({ id }) => id === solved.sump.returnChamberId)

  test('is held by its wall: what runs stands there', () => {
    const index = 1
    const { depthM } = solved.sump.chambers[index]!
    const wish = { index, returnIndex, depthM: depthM!, wantedM: depthM! + 0.03 }
    const { at, topM } = wallHolding(sump, wish)!
    const edits = withFollowing(LOOP, [setTo(['sump', 'walls', at, 'topM'], topM)])
    const after = solveBasin(applyEdits(LOOP, edits))
    expect(after.sump.chambers[index]!.depthM).toBeCloseTo(depthM! + 0.03, 2)
  })
  test('of the pump’s chamber is filled by hand, and behind a wall that water leaves under is not its own', () => {
    const wish = { returnIndex, depthM: 0.2, wantedM: 0.25 }
    expect(wallHolding(sump, { ...wish, index: returnIndex })).toBeNull()
    const under = sump.walls.findIndex(({ kind }) => kind === 'under')
    expect(under).toBeGreaterThanOrEqual(0)
    expect(wallHolding(sump, { ...wish, index: under })).toBeNull()
  })
  test('never stands over the rim', () => {
    const wish = { index: 1, returnIndex, depthM: 0.2, wantedM: 9 }
    expect(wallHolding(sump, wish)!.topM).toBe(sump.box!.heightM)
  })
})
