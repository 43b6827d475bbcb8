import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { aLoop } from '../a-loop.ts'
import { randomDesign } from '../judge/random-design.ts'
import { sheetOf } from '../../src/basin/building.ts'
import { jointGraph } from '../../src/build-sheet/assembly/graph.ts'
import { putInOrder } from '../../src/build-sheet/assembly/in-order.ts'
import type { BasinDesign } from '../../src/design/design.ts'
import { USUAL_BUILD } from '../../src/design/index.ts'
import { solveBasin } from '../../src/index.ts'
import { say } from '../../src/quantity/index.ts'

const DESIGNS: readonly (readonly [string, BasinDesign])[] = [
  ['a loop', aLoop()],
  ...Array.from({ length: 16 }, (_, seed) => [`lot ${seed}`, randomDesign(seed)] as const),
]
const orderOf = (design: BasinDesign) => sheetOf(design, solveBasin(design)).order

describe.each(DESIGNS)('%s', (_, design) => {
  const { steps, stuck } = orderOf(design)
  const graph = jointGraph(design)

  test('has every joint and every part once', () => {
    expect(stuck).toEqual([])
    const joints = steps.flatMap(({ jointIds }) => jointIds)
    expect([...joints].sort()).toEqual(graph.links.map(({ id }) => id).sort())
    const parts = steps.flatMap(({ partIds }) => partIds)
    expect([...parts].sort()).toEqual(graph.parts.map(({ id }) => id).sort())
  })
  test('breaks no rule, and waits as long as cement and silicone want', () => {
    expect(steps.map(({ number }) => number)).toEqual(steps.map((_, i) => i + 1))
    for (const { number, after, fromH } of steps)
      for (const before of after) {
        expect(before.number).toBeLessThan(number)
        expect(fromH).toBeGreaterThanOrEqual(steps[before.number - 1]!.fromH + before.waitH)
        expect(say(before.reason, 'metric').length).toBeGreaterThan(10)
      }
    const [leak, start] = steps.slice(-2)
    expect([leak!.kind, start!.kind]).toEqual(['leak-test', 'start'])
    const isGlued = steps.some(({ kind }) => kind === 'glue')
    expect(leak!.fromH).toBeGreaterThanOrEqual(isGlued ? 24 : 0)
    expect(start!.fromH).toBeGreaterThanOrEqual(isGlued ? 48 : 0)
  })
  test('has threads tight before the glue of their piece, and bulkheads before what is glued to them', () => {
    for (const step of steps.filter(({ kind }) => kind === 'screw')) {
      const glue = steps.find(({ id }) => id === step.id.replace('screw', 'glue'))
      if (glue) expect(glue.number).toBeGreaterThan(step.number)
    }
  })
})

describe('the two schools of bulkheads', () => {
  const design = DESIGNS.map(([, each]) => each).find((each) =>
    jointGraph(each).links.some(({ kind }) => kind === 'gasket'),
  )!
  const places = (after: readonly string[]) => {
    const { steps } = orderOf({ ...design, build: { ...USUAL_BUILD, bulkheadsAfter: after } })
    const of = (kind: string) =>
      steps.filter((step) => step.kind === kind).map(({ number }) => number)
    return { bulkheads: of('bulkhead'), lifts: of('lift') }
  }
  test('before the tank is lifted, or once it stands', () => {
    const all = design.tanks.map(({ id }) => id)
    const [first, later] = [places([]), places(all)]
    expect(first.bulkheads.length).toBeGreaterThan(0)
    expect(Math.max(...first.bulkheads)).toBeLessThan(Math.max(...first.lifts))
    expect(Math.min(...later.bulkheads)).toBeGreaterThan(Math.min(...later.lifts))
  })
})

test('a pump that is screwed to its pipe is put together on the bench, and stands before its union is closed', () => {
  const { steps } = orderOf(aBasin('up 300 mm, union, up 700 mm, elbow, left 300 mm'))
  const at = (kind: string, words = '') =>
    steps.find((step) => step.kind === kind && say(step.title, 'metric').includes(words))!.number
  expect(at('screw')).toBeLessThan(at('glue'))
  expect(at('glue')).toBeLessThan(at('place', 'Test pump'))
  expect(at('place', 'Test pump')).toBeLessThan(at('join', 'union'))
})

describe('steps in order', () => {
  const rank = () => 0
  test('break no constraint, and of those that may come next the least rank does', () => {
    const rules = [{ first: 'c', next: 'a' }]
    expect(putInOrder(['a', 'b', 'c'], rules, rank).order).toEqual(['b', 'c', 'a'])
    expect(putInOrder(['a', 'b', 'c'], rules, (id) => (id === 'b' ? 1 : 0)).order).toEqual([
      'c',
      'a',
      'b',
    ])
  })
  test('that wait for each other are named, with what waits for them', () => {
    const rules = [
      { first: 'a', next: 'b' },
      { first: 'b', next: 'a' },
      { first: 'b', next: 'c' },
    ]
    expect(putInOrder(['a', 'b', 'c', 'd'], rules, rank)).toEqual({
      order: ['d'],
      stuck: ['a', 'b', 'c'],
    })
  })
})
