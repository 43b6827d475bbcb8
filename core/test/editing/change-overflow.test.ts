import { describe, expect, test } from '@jest/globals'
import { aLoop } from '../a-loop.ts'
import { applyEdits } from '../../src/design/edit.ts'
import { drainAtTee, isTeeMet, lineAtTee } from '../../src/design/meets-tee.ts'
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
