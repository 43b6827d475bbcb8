import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { aLoop } from '../a-loop.ts'
import { withChanges } from '../changes.ts'
import { fixed } from '../found.ts'
import { randomDesign } from '../judge/random-design.ts'
import { apartRows } from '../../src/build-sheet/assembly/apart-rows.ts'
import { comesApart, freeing, holdsOf } from '../../src/build-sheet/assembly/comes-apart.ts'
import {
  acrossOf,
  flood,
  FOR_GOOD,
  jointGraph,
  type Link,
} from '../../src/build-sheet/assembly/graph.ts'
import { plumbingOf } from '../../src/build-sheet/index.ts'
import type { BasinDesign } from '../../src/design/design.ts'
import { boreAreaM2, boreOf } from '../../src/pipe/index.ts'
import { AS_USUAL } from '../../src/run/index.ts'

const DESIGNS: readonly (readonly [string, BasinDesign])[] = [
  ['a loop', aLoop()],
  ...Array.from({ length: 16 }, (_, seed) => [`lot ${seed}`, randomDesign(seed)] as const),
]

describe.each(DESIGNS)('%s', (_, design) => {
  const graph = jointGraph(design)
  const holds = holdsOf(design, graph)
  const { unreached } = holds
  /** What holds a part once some joints are undone, but for the ends of its own piece. */
  function held(part: number, undone: ReadonlySet<Link>): boolean {
    const piece = flood(graph, [part], ({ kind, id }) => FOR_GOOD.has(kind) || unreached.has(id))
    const still = flood(graph, [part], (link) => !undone.has(link))
    return [...still].some(
      (at) => at !== part && (holds.fixed.has(at) || (holds.ends.has(at) && !piece.has(at))),
    )
  }

  test('every joint of its plumbing is in the graph once, between two parts', () => {
    const joints = plumbingOf(design).joints.filter(({ bodyId }) => !bodyId.includes('-coupling-'))
    expect(graph.links.map(({ id }) => id).sort()).toEqual(joints.map(({ id }) => id).sort())
    expect(new Set(graph.parts.map(({ id }) => id)).size).toBe(graph.parts.length)
    for (const link of graph.links) {
      expect(link.ends[0]).not.toBe(link.ends[1])
      expect(acrossOf(link, link.ends[0])).toBe(link.ends[1])
    }
  })
  test('undoing what is named lets a thing go, and undoing one less does not', () => {
    for (const { thing, isFree, undo } of comesApart(design)) {
      const all = new Set(undo)
      if (isFree)
        expect([thing.id, thing.parts.some((part) => held(part, all))]).toEqual([thing.id, false])
      for (const left of undo) {
        const less = new Set(undo.filter((link) => link !== left))
        expect([thing.id, left.id, thing.parts.some((part) => held(part, less))]).toEqual([
          thing.id,
          left.id,
          true,
        ])
      }
    }
  })
  test('what holds a thing for good can be reached from it by glue and threads alone', () => {
    for (const { thing, isFree, heldBy } of comesApart(design)) {
      expect(heldBy.length === 0).toBe(isFree)
      const found = thing.parts.flatMap((part) => freeing(graph, holds, part).heldBy)
      expect(new Set(heldBy)).toEqual(new Set(found.map((at) => graph.parts[at]!)))
    }
  })
})

describe('a pump under a union and a valve', () => {
  const design = aBasin('up 300 mm, union, up 200 mm, ball, up 500 mm, elbow, left 300 mm')
  const rows = (of: BasinDesign) => apartRows(of)
  const pump = rows(design).find(({ thing }) => thing.kind === 'pump')!

  test('comes out by its union, with the valve shut, and loses the pipe between', () => {
    expect(pump.isFree).toBe(true)
    expect(pump.undo.map(({ name, kind }) => [name, kind])).toEqual([['main: union', 'union']])
    expect(pump.shut.map(({ name }) => name)).toEqual(['main: ball valve'])
    expect(pump.tankNames).toEqual([])
    const { size } = design.returnSide.lines[0]!.run
    const pipeM3 = 0.2 * boreAreaM2(boreOf(size).boreM)
    expect(pump.runsOutM3 / pipeM3).toBeCloseTo(1, 6)
  })
  test('without a valve a mouth under water lets the tank run back; one in air lets in air', () => {
    const inAir = aBasin('up 300 mm, union, up 700 mm, elbow, left 300 mm')
    const under = aBasin('up 300 mm, union, up 700 mm, elbow, left 300 mm, elbow, down 300 mm')
    const [over, back] = [inAir, under].map((of) => rows(of)[0]!)
    expect([over!.shut, back!.shut]).toEqual([[], []])
    expect(over!.tankNames).toEqual([])
    expect(back!.tankNames).toEqual([under.tanks[0]!.name])
  })
  test('a level pipe at the height of the joint runs out of it', () => {
    const level = aBasin('left 300 mm, union, left 700 mm, elbow, up 700 mm, ball, up 100 mm')
    const { size } = level.returnSide.lines[0]!.run
    const area = boreAreaM2(boreOf(size).boreM)
    expect(rows(level)[0]!.runsOutM3 / (1.7 * area)).toBeCloseTo(1, 1)
  })
  test('a check valve holds nothing back once it is leant on: it is never shut by hand', () => {
    const [row] = rows(aBasin('up 300 mm, union, up 200 mm, check, up 500 mm, elbow, left 300 mm'))
    expect(row!.shut).toEqual([])
  })
  test('the valve itself comes out with all it is glued to', () => {
    const valve = rows(design).find(({ thing }) => thing.kind === 'valve')!
    expect(valve.undo.map(({ name }) => name)).toEqual(['main: union'])
    expect(valve.shut).toEqual([])
  })
  test('with unions of its own the valve comes out alone', () => {
    const own = withChanges(design, {
      'returnSide.lines.0.run.pieces.3.made': { ...AS_USUAL, isTrueUnion: true },
    })
    const valve = rows(own).find(({ thing }) => thing.kind === 'valve')!
    expect(valve.undo.map(({ jointId }) => jointId)).toEqual([
      'main:p4:nut-before',
      'main:p4:nut-after',
    ])
  })
  test('that is glued to what is clipped can’t; the union that is offered turns it', () => {
    const clipped = withChanges(aBasin('up 400 mm, elbow, left 300 mm, elbow, up 700 mm'), {
      'returnSide.lines.0.run.pieces.3.made': { ...AS_USUAL, isClipped: true },
    })
    const [row] = rows(clipped)
    expect(row!.isFree).toBe(false)
    expect(row!.heldBy).toEqual(['main: clipped elbow 90°'])
    const [after] = rows(fixed(clipped, 'cannot-come-out'))
    expect(after!.isFree).toBe(true)
    expect(after!.undo.map(({ kind }) => kind)).toEqual(['union'])
  })
})
