import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { A_SUMP, aLoop } from '../a-loop.ts'
import { withChanges } from '../changes.ts'
import { randomDesign } from '../judge/random-design.ts'
import { namedSubAssemblies } from '../../src/build-sheet/assembly/named-pieces.ts'
import { closingsOf, reachRules } from '../../src/build-sheet/assembly/reach-rules.ts'
import { laidFirst } from '../../src/build-sheet/assembly/laid-first.ts'
import { rigidChains } from '../../src/build-sheet/assembly/rigid.ts'
import { assemblyOrder } from '../../src/build-sheet/index.ts'
import { jointReaches, outOfReach, toolFor } from '../../src/build-sheet/reach/reach.ts'
import { HAND, waysTo, WRENCH } from '../../src/build-sheet/reach/ring.ts'
import type { Solid } from '../../src/build-sheet/reach/solid.ts'
import type { BasinDesign } from '../../src/design/design.ts'

const HERE = { xM: 0, yM: 0, zM: 0 }
const UP = { axis: { xM: 0, yM: 0, zM: 1 }, radiusM: 0.02 }
const isOpen = (solids: readonly Solid[], tool = WRENCH) =>
  waysTo(HERE, { ...UP, tool }, solids).some(({ length }) => length === 0)
/** An endless wall across x or y. */
const wall = (axis: 'xM' | 'yM', atM: number): Solid => ({
  distanceM: (point) => (atM > 0 ? atM - point[axis] : point[axis] - atM),
  parts: [],
  panelOf: 'wall',
})

describe('a nut that a wrench must get to', () => {
  test('stands free, beside a wall and in a corner', () => {
    expect(isOpen([])).toBe(true)
    expect(isOpen([wall('xM', 0.03)])).toBe(true)
    expect(isOpen([wall('xM', 0.03), wall('yM', 0.03)])).toBe(true)
  })
  test('is shut in between two walls that leave less than a quarter', () => {
    expect(isOpen([wall('xM', 0.03), wall('xM', -0.03)])).toBe(false)
    expect(isOpen([wall('xM', 0.09), wall('xM', -0.09)])).toBe(true)
  })
  test('wants less room than a hand does', () => {
    const narrow = [wall('xM', 0.065), wall('xM', -0.065)]
    expect(isOpen(narrow, WRENCH)).toBe(true)
    expect(isOpen(narrow, HAND)).toBe(false)
  })
})

const DESIGNS: readonly (readonly [string, BasinDesign])[] = Array.from(
  { length: 20 },
  (_, seed) => [`lot ${seed}`, randomDesign(seed)],
)

describe.each(DESIGNS)('%s', (_, design) => {
  const { steps, stuck, outOfReach: late } = assemblyOrder(design)
  const closings = closingsOf(design, steps)
  test('every joint is made before it is shut off, but for those that are named', () => {
    expect(stuck).toEqual([])
    for (const { reach, madeAt, shutAt } of closings)
      if (shutAt !== null && !late.includes(reach.link.id)) expect(madeAt).toBeLessThan(shutAt)
    // What no order lets a tool to is among them.
    for (const id of outOfReach(design)) expect(late).toContain(id)
  })
  test('what becomes unreachable is said at the step that shuts it off, once', () => {
    const said = steps.flatMap(({ number, shutsOff }) =>
      shutsOff.map(({ jointId }) => `${jointId} at ${number}`),
    )
    const found = closings.flatMap(({ reach, madeAt, shutAt }) =>
      shutAt !== null && madeAt < shutAt ? [`${reach.link.id} at ${shutAt}`] : [],
    )
    expect(said.toSorted()).toEqual(found.toSorted())
  })
  test('what a tank would be in the way of is made, laid, and only then is the tank lifted', () => {
    const at = (id: string) => steps.find((step) => step.id === id)?.number
    for (const { piece, tankId, isInSump } of laidFirst(design)) {
      const laid = at(`lay ${piece.id}`)!
      expect(laid).toBeLessThan(at(`lift ${tankId}`)!)
      if (piece.glue.length > 0) expect(at(`glue ${piece.id}`)!).toBeLessThan(laid)
      if (isInSump) expect(at('place sump')!).toBeLessThan(laid)
    }
  })
  test('rules of reach never make steps wait for each other', () => {
    const there = new Set(steps.map(({ id }) => id))
    const order = new Map(steps.map(({ id, number }) => [id, number]))
    const known = steps.flatMap(({ id, after }) =>
      after.map(({ number }) => ({ first: steps[number - 1]!.id, next: id })),
    )
    for (const { first, next } of reachRules(design, known, there))
      expect(order.get(first)!).toBeLessThan(order.get(next)!)
  })
})

test('a joint that other pipe will hide is made before that pipe is brought', () => {
  const hidden = DESIGNS.map(([, design]) => design).find((design) =>
    assemblyOrder(design).steps.some(({ shutsOff }) => shutsOff.length > 0),
  )!
  const { steps } = assemblyOrder(hidden)
  const shutting = steps.find(({ shutsOff }) => shutsOff.length > 0)!
  const [joint] = shutting.shutsOff
  const made = steps.find(({ jointIds }) => jointIds.includes(joint!.jointId))!
  expect(made.number).toBeLessThan(shutting.number)
})

test('a union low in a narrow sump can’t be reached, and holds its pump for good', () => {
  const design = aBasin('up 100 mm, union, up 900 mm, elbow, left 300 mm')
  const { outlet } = design.returnSide.pumps[0]!
  const inSump = (widthM: number) =>
    withChanges(design, {
      'sump.box': { ...A_SUMP, yM: outlet.yM - widthM / 2, widthM },
    })
  expect([...outOfReach(inSump(0.1))]).toHaveLength(1)
  expect([...outOfReach(inSump(0.3))]).toEqual([])
  expect(jointReaches(inSump(0.3)).map(({ link }) => toolFor(link))).toEqual([WRENCH])
})

test('a line glued from its pump to a bulkhead is a chain; one with a union is none', () => {
  const chained = aBasin('up 1 m, elbow, left 400 mm, bulkhead, left 100 mm, nozzle 20 mm')
  const [chain] = rigidChains(chained)
  expect(chain!.fixed.map(({ body }) => body!.kind).sort()).toEqual(['bulkhead', 'pump'])
  expect(chain!.between.length).toBeGreaterThan(3)
  const parted = 'up 300 mm, union, up 700 mm, elbow, left 400 mm, bulkhead, left 100 mm'
  expect(rigidChains(aBasin(parted))).toEqual([])
})

test('sub-assemblies are numbered in the order of the water, and steps are called after them', () => {
  const design = aLoop()
  const names = namedSubAssemblies(design).map(({ name }) => name.split(' ')[0])
  expect(names).toEqual(names.map((_, i) => `S${i + 1}`))
  const ids = new Set(namedSubAssemblies(design).map(({ id }) => id))
  const used = assemblyOrder(design).steps.flatMap(({ subAssemblyId }) => subAssemblyId ?? [])
  expect(new Set(used)).toEqual(ids)
})
