import { expect, test } from '@jest/globals'
import { aLoop } from '../a-loop.ts'
import { applyEdits } from '../../src/design/index.ts'
import { moveMouth } from '../../src/editing/index.ts'
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
