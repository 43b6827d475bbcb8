import { describe, expect, test } from '@jest/globals'
import { aLoop, aHungBox } from '../a-loop.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, type BasinDesign, type Edit, setTo } from '../../src/design/index.ts'
import { goesAlong, withFollowing } from '../../src/editing/follow/following.ts'
import { pushedM, withNearerFace } from '../../src/editing/follow/shifts.ts'
import { resizedTank } from '../../src/editing/tank/resized-tank.ts'
import { layOut } from '../../src/layout/index.ts'
import { layDrains } from '../../src/loop/index.ts'
import { waterAt } from '../../src/fluid/index.ts'

const LOOP = aLoop()
const followed = (design: BasinDesign, edits: readonly Edit[]) => {
  const { belongs, leads } = goesAlong(design, edits)
  return [...belongs, ...leads]
}
const along = (design: BasinDesign, ...edits: Edit[]) =>
  applyEdits(design, [...edits, ...followed(design, edits)])
const lineMouth = (design: BasinDesign) => layOut(design).lines[0]!.mouth
const drainMouths = ({ drains, water }: BasinDesign) =>
  layDrains(drains, waterAt(water)).map(({ mouth }) => mouth)
const stops = (design: BasinDesign) =>
  solveBasin(design)
    .findings.filter(({ severity }) => severity === 'stop')
    .map(({ code }) => code)
const tank = LOOP.tanks[0]!

describe('a stand made taller', () => {
  const taller = along(LOOP, setTo(['tanks', 0, 'floorHeightM'], tank.floorHeightM + 0.2))

  test('lifts the return’s mouth with the tank, by its riser', () => {
    expect(lineMouth(taller).zM).toBeCloseTo(lineMouth(LOOP).zM + 0.2, 9)
    expect(lineMouth(taller).xM).toBeCloseTo(lineMouth(LOOP).xM, 9)
    const riser = (design: BasinDesign) =>
      Math.max(
        ...design.returnSide.lines[0]!.run.pieces.map((piece) =>
          piece.kind === 'pipe' ? piece.lengthM : 0,
        ),
      )
    expect(riser(taller)).toBeCloseTo(riser(LOOP) + 0.2, 9)
  })
  test('leaves the drains’ ends in the sump where they are, and their lips in the box', () => {
    drainMouths(taller).forEach((mouth, i) => {
      expect(mouth.zM).toBeCloseTo(drainMouths(LOOP)[i]!.zM, 9)
    })
    taller.drains.forEach(({ inlet }, i) => {
      expect(inlet.place.zM).toBeCloseTo(LOOP.drains[i]!.inlet.place.zM + 0.2, 9)
    })
  })
  test('and brings no stop that was not there', () => {
    expect(stops(taller)).toEqual(stops(LOOP))
  })
})

describe('a tank that is resized', () => {
  const sizes = {
    lengthM: tank.lengthM + 0.1,
    widthM: tank.widthM + 0.1,
    heightM: tank.heightM + 0.08,
  }
  const larger = along(LOOP, ...resizedTank(0, sizes))

  test('keeps its rim, crest and box as far under its top as they were', () => {
    const [now] = larger.tanks
    expect(now!.rimM).toBeCloseTo(tank.rimM + 0.08, 9)
    expect(now!.overflow!.crestM).toBeCloseTo(tank.overflow!.crestM + 0.08, 9)
    expect(now!.overflow!.box!.rimM).toBeCloseTo(tank.overflow!.box!.rimM + 0.08, 9)
  })
  test('keeps its box by its back, and its drains in the box', () => {
    const [now] = larger.tanks
    expect(now!.overflow!.box!.yM).toBeCloseTo(tank.overflow!.box!.yM + 0.1, 9)
    // Its riser stands beside it: a tank that grew into it would be said to.
    const shorter = { ...sizes, lengthM: tank.lengthM - 0.05, widthM: tank.widthM }
    expect(stops(along(LOOP, ...resizedTank(0, shorter)))).toEqual(stops(LOOP))
  })
  test('brings its return mouth along with the side it is nearest to', () => {
    const [from, to] = [lineMouth(LOOP), lineMouth(larger)]
    const isRight = from.xM > tank.lengthM / 2
    expect(to.xM - from.xM).toBeCloseTo(isRight ? 0.1 : 0, 9)
    expect(to.zM - from.zM).toBeCloseTo(0.08, 9)
  })
  test('leads on as far as its pipe goes where it can’t follow all the way', () => {
    const far = along(LOOP, ...resizedTank(0, { ...sizes, lengthM: tank.lengthM + 5 }))
    expect(lineMouth(far).xM).toBeCloseTo(lineMouth(LOOP).xM, 9)
    expect(lineMouth(far).zM).toBeCloseTo(lineMouth(LOOP).zM + 0.08, 9)
  })
  test('moves the tank at its right along, and what leads to that', () => {
    const second = {
      ...tank,
      id: 'second',
      xM: tank.lengthM + 0.2,
      overflow: null,
    }
    const two = { ...LOOP, tanks: [tank, second] }
    const grown = along(two, setTo(['tanks', 0, 'lengthM'], tank.lengthM + 0.3))
    expect(grown.tanks[1]!.xM).toBeCloseTo(second.xM + 0.3, 9)
    const smaller = along(two, setTo(['tanks', 0, 'lengthM'], tank.lengthM - 0.3))
    expect(smaller.tanks[1]!.xM).toBe(second.xM)
  })
  test('a box that hangs on it rises with its rim', () => {
    const hung = aHungBox()
    const [old] = hung.tanks
    const higher = along(hung, setTo(['tanks', 0, 'heightM'], old!.heightM + 0.1))
    const { box } = higher.tanks[0]!.overflow!
    expect(box!.floorM).toBeCloseTo(old!.overflow!.box!.floorM + 0.1, 9)
    higher.drains.forEach(({ inlet }, i) => {
      expect(inlet.place.zM).toBeCloseTo(hung.drains[i]!.inlet.place.zM + 0.1, 9)
    })
  })
})

describe('a sump that is moved', () => {
  const { box } = LOOP.sump
  const moved = along(LOOP, setTo(['sump', 'box', 'xM'], box!.xM + 0.15))

  test('takes pump and drains’ ends along; the return’s mouth stays', () => {
    const [pump] = moved.returnSide.pumps
    expect(pump!.outlet.xM).toBeCloseTo(LOOP.returnSide.pumps[0]!.outlet.xM + 0.15, 9)
    expect(lineMouth(moved).xM).toBeCloseTo(lineMouth(LOOP).xM, 9)
    drainMouths(moved).forEach((mouth, i) => {
      expect(mouth.xM).toBeCloseTo(drainMouths(LOOP)[i]!.xM + 0.15, 9)
    })
  })
  test('stood higher takes the levels along that it is filled to', () => {
    const higher = along(LOOP, setTo(['sump', 'box', 'floorHeightM'], box!.floorHeightM + 0.05))
    higher.sump.chambers.forEach(({ levelM }, i) => {
      expect(levelM).toBeCloseTo(LOOP.sump.chambers[i]!.levelM + 0.05, 9)
    })
    expect(stops(higher)).toEqual(stops(LOOP))
  })
  test('a wall pushes the drains out of its way, and leaves them where they have room', () => {
    const [wall] = LOOP.sump.walls
    const [mouth] = drainMouths(LOOP).toSorted((a, b) => b.xM - a.xM)
    const toM = mouth!.xM - box!.xM - 0.01
    const pushed = along(LOOP, setTo(['sump', 'walls', 0, 'atM'], toM))
    expect(Math.max(...drainMouths(pushed).map(({ xM }) => xM))).toBeLessThan(box!.xM + toM)
    const away = along(LOOP, setTo(['sump', 'walls', 0, 'atM'], wall!.atM + 0.01))
    expect(drainMouths(away)).toEqual(drainMouths(LOOP))
  })
})

describe('what does not go along', () => {
  test('a run that was changed by hand in the same step', () => {
    const { pieces } = LOOP.returnSide.lines[0]!.run
    const at = pieces.findIndex((piece) => piece.kind === 'pipe')
    const mine = setTo(['returnSide', 'lines', 0, 'run', 'pieces', at, 'lengthM'], 0.5)
    const edits = [setTo(['tanks', 0, 'floorHeightM'], tank.floorHeightM + 0.2), mine]
    const after = applyEdits(LOOP, [...edits, ...followed(LOOP, edits)])
    expect(after.returnSide.lines[0]).toEqual(applyEdits(LOOP, edits).returnSide.lines[0])
  })
  test.each([
    ['a pump’s speed', setTo(['returnSide', 'pumps', 0, 'speed'], 0.7)],
    ['a name', setTo(['tanks', 0, 'name'], 'Reef')],
    ['the rim alone', setTo(['tanks', 0, 'rimM'], tank.rimM - 0.005)],
  ])('%s moves nothing', (_, edit) => {
    expect(followed(LOOP, [edit])).toEqual([])
  })
  test('back and forth it is as it was', () => {
    const there = along(LOOP, setTo(['tanks', 0, 'floorHeightM'], tank.floorHeightM + 0.2))
    const back = applyEdits(
      there,
      withFollowing(there, [setTo(['tanks', 0, 'floorHeightM'], tank.floorHeightM)]),
    )
    expect(lineMouth(back).zM).toBeCloseTo(lineMouth(LOOP).zM, 9)
    expect(drainMouths(back)[0]!.zM).toBeCloseTo(drainMouths(LOOP)[0]!.zM, 9)
  })
})

describe('what goes with a face', () => {
  test.each([
    [0.1, 0],
    [0.9, 0.2],
    [0.5, 0.1],
  ])('at %d of a span whose end goes out by 0.2: %d', (atM, byM) => {
    expect(withNearerFace(atM, [0, 1], [0, 1.2])).toBeCloseTo(byM, 12)
  })
  test('is pushed no farther than there is room', () => {
    expect(pushedM([0.4, 0.6], [0, 1], [0.5, 1])).toBeCloseTo(0.13, 12)
    expect(pushedM([0.4, 0.6], [0, 1], [0.5, 0.6])).toBe(0)
    expect(pushedM([0.4, 0.6], [0, 1], [0.2, 1.2])).toBeCloseTo(0.2, 12)
  })
})
