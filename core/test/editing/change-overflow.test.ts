import { describe, expect, test } from '@jest/globals'
import { aLoop } from '../a-loop.ts'
import { applyEdits } from '../../src/design/edit.ts'
import { drainAtTee, isTeeMet, lineAtTee } from '../../src/design/meets-tee.ts'
import { layOut } from '../../src/layout/index.ts'
import { otherOverflow, withoutOverflow } from '../../src/editing/gravity/change-overflow.ts'

const LOOP = aLoop()

describe('another overflow', () => {
  test('keeps the rim’s cut and its drains, where it still has a box', () => {
    const after = applyEdits(LOOP, otherOverflow(LOOP, 0, { form: 'outer-box', place: 'back' }))
    expect(after.tanks[0]!.overflow!.form).toBe('outer-box')
    expect(after.tanks[0]!.overflow!.teeth).toEqual(LOOP.tanks[0]!.overflow!.teeth)
    expect(after.drains).toEqual(LOOP.drains)
  })
  test('without a box has no drains in it', () => {
    const after = applyEdits(LOOP, otherOverflow(LOOP, 0, { form: 'rear-chambers', place: 'back' }))
    expect(after.drains).toEqual([])
  })
  test('taken out, takes its own drains along and no others', () => {
    const two = {
      ...LOOP,
      drains: [...LOOP.drains, { ...LOOP.drains[0]!, id: 'elsewhere', tankId: 'another' }],
    }
    const after = applyEdits(two, withoutOverflow(two, 0))
    expect(after.tanks[0]!.overflow).toBeNull()
    expect(after.drains.map(({ id }) => id)).toEqual(['elsewhere'])
  })
})

test('what meets a tee is found among lines and drains', () => {
  const [first, second] = LOOP.drains
  const joined = {
    ...LOOP,
    drains: [first!, { ...second!, end: { ...second!.end, at: 'tee' as const, id: 'join' } }],
  }
  expect(drainAtTee(joined, 'join')).toBe(1)
  expect(isTeeMet(joined, 'join')).toBe(true)
  expect(isTeeMet(joined, 'other')).toBe(false)
  expect(lineAtTee(joined, 'join')).toBeUndefined()
})

describe('an all-in-one whose water leaves by a hung box', () => {
  const { tanks, sump } = LOOP
  const box = { ...sump.box!, ...pickPlace(tanks[0]!), floorHeightM: tanks[0]!.floorHeightM }
  const inTank = {
    ...applyEdits(LOOP, otherOverflow(LOOP, 0, { form: 'rear-chambers', place: 'back' })),
    sump: { ...sump, box },
  }
  const after = applyEdits(inTank, otherOverflow(inTank, 0, { form: 'hung-box', place: 'back' }))

  test('has its sump on the floor below, its levels and pumps with it', () => {
    expect(after.sump.box!.floorHeightM).toBe(0)
    const fallenM = tanks[0]!.floorHeightM
    expect(after.sump.chambers.map(({ levelM }) => levelM)).toEqual(
      inTank.sump.chambers.map(({ levelM }) => expect.closeTo(levelM - fallenM, 9)),
    )
    expect(after.returnSide.pumps[0]!.outlet.zM).toBeCloseTo(
      Math.max(0, inTank.returnSide.pumps[0]!.outlet.zM - fallenM),
      9,
    )
  })
  test('has its pump draw as deep under the water as it drew', () => {
    const withInlet = (design: typeof LOOP, inletHeightM: number) => {
      const { returnSide } = design
      const pumps = returnSide.pumps.map((pump) => ({ ...pump, inletHeightM }))
      return { ...design, returnSide: { ...returnSide, pumps } }
    }
    const inletM = tanks[0]!.floorHeightM + 0.05
    const drawn = withInlet(inTank, inletM)
    const edits = otherOverflow(drawn, 0, { form: 'hung-box', place: 'back' })
    const [pump] = applyEdits(drawn, edits).returnSide.pumps
    expect(pump!.inletHeightM).toBeCloseTo(0.05, 9)
  })
  test('has its return end where it ended', () => {
    const mouth = (design: typeof LOOP) => layOut(design).lines[0]!.mouth
    expect(mouth(after).zM).toBeCloseTo(mouth(inTank).zM, 9)
  })
  test('keeps a sump that stands below already where it stands', () => {
    const below = { ...inTank, sump }
    const edits = otherOverflow(below, 0, { form: 'hung-box', place: 'back' })
    expect(applyEdits(below, edits).sump).toBe(sump)
  })
})

function pickPlace({ xM, yM }: (typeof LOOP.tanks)[number]) {
  return { xM, yM }
}
