import { describe, expect, test } from '@jest/globals'
import { aLoop } from '../a-loop.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, type BasinDesign, isInChamber } from '../../src/design/index.ts'
import { joinDrain } from '../../src/editing/gravity/join-drain.ts'
import { copyOverflow, mayCopyOverflow } from '../../src/editing/tank/copy-overflow.ts'
import { waterAt } from '../../src/fluid/index.ts'
import { layDrains } from '../../src/loop/index.ts'

const LOOP = aLoop()
const [tank] = LOOP.tanks
const second = {
  ...tank!,
  id: 'second',
  name: 'Second',
  xM: 1.3,
  heightM: tank!.heightM + 0.1,
  rimM: tank!.rimM + 0.09,
  overflow: null,
}
const TWO: BasinDesign = { ...LOOP, tanks: [tank!, second] }
const copied = (design = TWO) =>
  applyEdits(design, copyOverflow(design, { from: 0, to: 1, flowM3PerS: 5e-4 }))

describe('an overflow copied to another tank', () => {
  const design = copied()
  const [from, to] = design.tanks

  test('stands as far under that tank’s rim, by the same panel', () => {
    expect(to!.rimM - to!.overflow!.crestM).toBeCloseTo(from!.rimM - from!.overflow!.crestM, 9)
    const { box } = to!.overflow!
    expect(box!.yM).toBeCloseTo(from!.overflow!.box!.yM, 9)
    expect(box!.xM - to!.xM).toBeCloseTo(from!.overflow!.box!.xM - from!.xM, 9)
  })
  test('brings its drains, each with an id of its own, down in the same chamber', () => {
    const ids = design.drains.map(({ id }) => id)
    expect(ids.length).toBe(2 * LOOP.drains.length)
    expect(new Set(ids).size).toBe(ids.length)
    const pieces = design.drains.flatMap(({ run }) => run.pieces.map(({ id }) => id))
    expect(new Set(pieces).size).toBe(pieces.length)
    const laid = layDrains(design.drains, waterAt(design.water))
    design.drains.forEach(({ end }, i) => {
      expect(isInChamber(design.sump, end.id, laid[i]!.mouth)).toBe(true)
    })
  })
  test('leaves the first as it was, and brings no stop about where the pipes begin', () => {
    expect(design.tanks[0]).toEqual(TWO.tanks[0])
    expect(design.drains.slice(0, LOOP.drains.length)).toEqual(LOOP.drains)
    const codes = solveBasin(design).findings.map(({ code }) => code)
    expect(codes).not.toContain('drain-outside-box')
    expect(codes).not.toContain('end-outside-chamber')
  })
  test('takes the place of what the other tank had', () => {
    const again = copied(design)
    expect(again.drains.length).toBe(design.drains.length)
  })
  test('pipes that join are joined again', () => {
    const joined = applyEdits(TWO, joinDrain(TWO, 2, 0))
    const { drains } = copied(joined)
    const [trunk, , member] = drains.slice(LOOP.drains.length)
    expect(trunk!.run.pieces.map(({ id }) => id)).toContain(member!.end.id)
  })
  test('is offered where there is a box', () => {
    expect(mayCopyOverflow(tank!)).toBe(true)
    expect(mayCopyOverflow(second)).toBe(false)
  })
})
