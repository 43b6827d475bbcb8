import { describe, expect, test } from '@jest/globals'
import { aLoop } from '../a-loop.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, type BasinDesign } from '../../src/design/index.ts'
import { joinDrain, mayJoin } from '../../src/editing/gravity/join-drain.ts'
import { waterAt } from '../../src/fluid/index.ts'
import { layDrains } from '../../src/loop/index.ts'

const LOOP = aLoop()
const [SIPHON, TRICKLE, EMERGENCY] = LOOP.drains
const laid = ({ drains, water }: BasinDesign) => layDrains(drains, waterAt(water))
const joined = (index: number, other: number) => applyEdits(LOOP, joinDrain(LOOP, index, other))

describe('a drain led into another', () => {
  test.each([
    [2, 0],
    [0, 2],
    [2, 1],
    [1, 0],
  ])('%d into %d: its mouth is at the tee, and the other still comes down where it did', (a, b) => {
    const design = joined(a, b)
    const runs = laid(design)
    const tee = runs[b]!.placed.find(({ piece }) => piece.id === design.drains[a]!.end.id)!
    for (const axis of ['xM', 'yM', 'zM'] as const) {
      expect(Math.abs(runs[a]!.mouth[axis] - tee.from[axis])).toBeLessThan(0.021)
      expect(runs[b]!.mouth[axis]).toBeCloseTo(laid(LOOP)[b]!.mouth[axis], 9)
    }
    expect(design.drains[a]!.end.at).toBe('tee')
  })
  test('keeps its valve above the tee, and the loop says what joining costs', () => {
    const design = joined(2, 0)
    const kinds = (drain: (typeof LOOP.drains)[number]) => drain.run.pieces.map(({ kind }) => kind)
    expect(kinds(design.drains[2]!)).toContain('union')
    const siphon = kinds(design.drains[0]!)
    expect(siphon.indexOf('tee')).toBeGreaterThan(siphon.indexOf('valve'))
    expect(solveBasin(design).findings.map(({ code }) => code)).toContain('joined-drains')
  })
  test('every piece of the design keeps an id of its own', () => {
    const ids = joined(2, 0).drains.flatMap(({ run }) => run.pieces.map(({ id }) => id))
    expect(new Set(ids).size).toBe(ids.length)
  })
  test('is offered where neither is joined yet', () => {
    expect(mayJoin(LOOP, EMERGENCY!, SIPHON!)).toBe(true)
    expect(mayJoin(LOOP, EMERGENCY!, EMERGENCY!)).toBe(false)
    const design = joined(2, 0)
    const [trunk, , member] = design.drains
    expect(mayJoin(design, TRICKLE!, trunk!)).toBe(false)
    expect(mayJoin(design, TRICKLE!, member!)).toBe(false)
    expect(mayJoin(design, trunk!, TRICKLE!)).toBe(false)
  })
})
