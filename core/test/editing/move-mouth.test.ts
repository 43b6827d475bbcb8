import { expect, test } from '@jest/globals'
import { aLoop } from '../a-loop.ts'
import { applyEdits } from '../../src/design/index.ts'
import { moveDrainEnd, moveMouth } from '../../src/editing/index.ts'
import { steadyState } from '../../src/loop/index.ts'
import { layOut } from '../../src/layout/index.ts'

const LOOP = aLoop()
const mouthOf = (design: typeof LOOP) => layOut(design).lines[0]!.mouth

test('a mouth goes where it is moved along every way in which a pipe can give, and no other', () => {
  const before = mouthOf(LOOP)
  for (const axis of ['xM', 'yM', 'zM'] as const) {
    const by = { xM: 0, yM: 0, zM: 0, [axis]: 0.04 }
    const edits = moveMouth(LOOP, 0, by)
    const after = mouthOf(applyEdits(LOOP, edits))
    for (const other of ['xM', 'yM', 'zM'] as const) {
      const gone = other === axis && edits.length > 0 ? 0.04 : 0
      expect([axis, other, after[other] - before[other]]).toEqual([
        axis,
        other,
        expect.closeTo(gone, 9),
      ])
    }
  }
  expect(moveMouth(LOOP, 0, { xM: 0, yM: 0, zM: 0.04 }).length).toBeGreaterThan(0)
  expect(moveMouth(LOOP, 0, { xM: 0, yM: 0, zM: 0 })).toEqual([])
  expect(moveMouth(LOOP, 0, { xM: 0, yM: 0, zM: -99 })).toEqual([])
})

test('a drain’s end goes where it is moved along what can give, its inlet stays', () => {
  const { drains } = LOOP
  const endOf = (design: typeof LOOP) => steadyState(design).drains[0]!.mouth
  const before = endOf(LOOP)
  const edits = moveDrainEnd(LOOP, 0, { xM: 0, yM: 0, zM: 0.02 })
  expect(edits.length).toBeGreaterThan(0)
  const after = applyEdits(LOOP, edits)
  expect(after.drains[0]!.inlet).toEqual(drains[0]!.inlet)
  expect(endOf(after).zM - before.zM).toBeCloseTo(0.02, 9)
  expect(endOf(after).xM).toBeCloseTo(before.xM, 9)
  expect(moveDrainEnd(LOOP, 0, { xM: 0, yM: 0, zM: 99 })).toEqual([])
})
