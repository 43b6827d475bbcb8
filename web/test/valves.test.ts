import { describe, expect, test } from '@jest/globals'
import { applyEdits, type Piece, setTo } from '@yew-basin/core'
import { valvesOf } from '../src/balance/valves.ts'
import { aFullDesign } from './open-basin.ts'

const VALVES: Piece[] = [
  { id: 'a', kind: 'valve', form: 'gate', opening: 0.4, kvM3PerH: null },
  { id: 'b', kind: 'valve', form: 'gate', opening: 1, kvM3PerH: null },
  { id: 'c', kind: 'valve', form: 'diaphragm', opening: 0, kvM3PerH: null },
]

describe('the valves of a network', () => {
  const design = applyEdits(aFullDesign(), [
    setTo(['returnSide', 'lines', 0, 'run', 'pieces'], VALVES),
    setTo(
      ['drains', 0, 'run', 'pieces'],
      VALVES.map((piece) => ({ ...piece, id: `d${piece.id}` })),
    ),
  ])
  const valves = valvesOf(design)

  test('are all there, on the way up and down, and no two are called alike', () => {
    const own = [...design.returnSide.lines, ...design.drains].flatMap(({ run }) =>
      run.pieces.filter(({ kind }) => kind === 'valve').map(({ id }) => id),
    )
    expect(valves.map(({ id }) => id)).toEqual(own)
    const names = valves.map(({ name }) => name)
    expect(new Set(names).size).toBe(names.length)
    expect(names[0]).toMatch(/gate 1 of 2$/)
    expect(names[2]).toMatch(/diaphragm$/)
  })
  test('are set in the design', () => {
    for (const [i, valve] of valves.entries()) {
      const set = valvesOf(applyEdits(design, [valve.set(0.25)]))
      expect(set[i]!.opening).toBe(0.25)
    }
    expect(valves[2]!.onlyOpenOrShut).toBe(true)
  })
})
