import { aLoop } from '../a-loop.ts'
import { withChanges } from '../changes.ts'
import { type BasinDesign, solveBasin, steadyState } from '../../src/index.ts'
import { boxDrains } from '../../src/loop/box-drains.ts'
import { BoxSearch } from '../../src/loop/box-search.ts'
import { describe, expect, test } from '@jest/globals'

/** The trickle ends in a tee of the siphon, which both leave by the siphon's way. */
function joined(form: 'side' | 'straight' | 'split', gate = 0.5, at = 2): BasinDesign {
  const design = aLoop()
  const [siphon, trickle, emergency] = design.drains
  const pieces = siphon!.run.pieces.map((piece) =>
    piece.kind === 'valve' ? { ...piece, opening: gate } : piece,
  )
  pieces.splice(at, 0, { id: 'join', kind: 'tee', form })
  return {
    ...design,
    drains: [
      { ...siphon!, run: { ...siphon!.run, pieces } },
      {
        ...trickle!,
        inlet: { ...trickle!.inlet, place: { ...trickle!.inlet.place, zM: 0.8 } },
        run: { ...trickle!.run, pieces: trickle!.run.pieces.slice(0, 2) },
        end: { at: 'tee', id: 'join', landing: 'open' },
      },
      emergency!,
    ],
  }
}

function searched(design: BasinDesign) {
  const { drains } = steadyState(design)
  const search = new BoxSearch(boxDrains(drains))
  search.endAgainst(() => 0.26)
  return search
}

describe('drains that join', () => {
  test.each(['side', 'straight', 'split'] as const)(
    'in a tee that stands %s carry more the higher the water stands, without a step',
    (form) => {
      const search = searched(joined(form))
      const flows = Array.from({ length: 200 }, (_, i) => search.drainAt(0.75 + i * 0.0008))
      const steps = flows.slice(1).map((flow, i) => flow - flows[i]!)
      for (const step of steps) expect(step).toBeGreaterThan(-1e-9)
      expect(Math.max(...steps)).toBeLessThan(0.2 * flows.at(-1)!)
    },
  )
  test.each(['side', 'straight', 'split'] as const)(
    'in a tee that stands %s find the same whatever was asked before',
    (form) => {
      const fresh = searched(joined(form)).drainAt(0.87)
      const used = searched(joined(form))
      for (const levelM of [0.75, 0.95, 0.82, 0.9]) used.drainAt(levelM)
      expect(used.drainAt(0.87)).toBeCloseTo(fresh, 9)
    },
  )
  test('both together carry less than each would alone, and more than either', () => {
    const search = searched(joined('side'))
    const both = search.drainAt(0.87)
    const alone = (id: string) => search.drainAt(0.87, new Set([id, 'tank-emergency']))
    const siphon = alone('tank-trickle')
    const trickle = alone('tank-siphon')
    expect(both).toBeLessThan(siphon + trickle)
    expect(both).toBeGreaterThan(Math.max(siphon, trickle) - 1e-9)
  })
  test('a trunk that is shut past the join lets nothing through', () => {
    const search = searched(joined('side', 0, 1))
    search.drainAt(0.87)
    expect(search.flow[0]).toBe(0)
    expect(search.flow[1]).toBe(0)
  })
  test('slopes are what a little more level adds', () => {
    const search = searched(joined('straight'))
    const step = 1e-6
    const at = (levelM: number) => search.drainAt(levelM)
    const [low, high] = [at(0.87 - step), at(0.87 + step)]
    at(0.87)
    const told = search.perLevel.reduce((sum, slope) => sum + slope, 0)
    expect(Math.abs((high - low) / (2 * step) / told - 1)).toBeLessThan(0.02)
  })
  test('the whole loop rests with them', () => {
    for (const form of ['side', 'straight', 'split'] as const) {
      const solved = solveBasin(withChanges(joined(form), {}))
      expect(solved.loop.residualM).toBe(0)
      const down = solved.drains.reduce((sum, { flowM3PerS }) => sum + flowM3PerS, 0)
      expect(down).toBeCloseTo(solved.returnSide.flowM3PerS, 6)
    }
  })
})
