import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { aLoop } from '../a-loop.ts'
import { randomDesign } from '../judge/random-design.ts'
import { jointGraph } from '../../src/build-sheet/assembly/graph.ts'
import { namedSubAssemblies } from '../../src/build-sheet/assembly/named-pieces.ts'
import { isometricOf, isometricsOf, plumbingOf } from '../../src/build-sheet/index.ts'
import { brokenWhereBehind } from '../../src/build-sheet/isometric/behind.ts'
import { paperFor, TO_NO_SCALE } from '../../src/build-sheet/isometric/paper.ts'
import { placesOf } from '../../src/build-sheet/places.ts'
import type { BasinDesign } from '../../src/design/design.ts'

const DESIGNS: readonly (readonly [string, BasinDesign])[] = [
  ['a loop', aLoop()],
  ...Array.from({ length: 8 }, (_, seed) => [`lot ${seed}`, randomDesign(seed)] as const),
]
const TURNS = [0, 1, 2, 3] as const
const key = ({ x, y }: { readonly x: number; readonly y: number }) =>
  `${x.toFixed(6)} ${y.toFixed(6)}`

describe.each(DESIGNS)('%s', (_, design) => {
  const { routes, cuts } = plumbingOf(design)
  test('every cut is on the whole once, from each side, and every run meets its tee', () => {
    for (const turn of TURNS) {
      const { bars, signs } = isometricOf(design, { kind: 'whole' }, turn)
      expect(bars.flatMap(({ cut }) => cut?.mark ?? []).sort()).toEqual(
        cuts.map(({ mark }) => mark).sort(),
      )
      const tees = new Set(signs.filter(({ kind }) => kind === 'tee').map(({ at }) => key(at)))
      for (const leg of signs.filter(({ kind }) => kind === 'leg'))
        expect([leg.id, tees.has(key(leg.at))]).toEqual([leg.id, true])
    }
  })
  test('a run has all its bodies in the order of the water, each joined to the next', () => {
    for (const route of routes) {
      const { bars, signs } = isometricOf(design, { kind: 'run', routeId: route.id })
      expect(signs.map(({ kind }) => kind)).toEqual(route.bodies.map(({ kind }) => kind))
      bars.forEach(({ from, to }, i) => {
        expect([key(from), key(to)]).toEqual([key(signs[i]!.at), key(signs[i + 1]!.at)])
      })
    }
  })
  test('a sub-assembly has its own lengths and no others', () => {
    const { parts } = jointGraph(design)
    for (const piece of namedSubAssemblies(design)) {
      const { bars } = isometricOf(design, { kind: 'sub-assembly', id: piece.id })
      const own = piece.partIds.filter((id) =>
        parts.some((part) => part.id === id && part.segmentId !== null),
      )
      expect(bars.map(({ partId }) => partId ?? 'none').toSorted()).toEqual(own.toSorted())
    }
  })
  test('all of it stands within its bounds', () => {
    for (const { isometric } of isometricsOf(design)) {
      const { left, top, width, height } = isometric
      for (const { at } of isometric.signs) {
        expect(at.x).toBeGreaterThanOrEqual(left - 1e-6)
        expect(at.x).toBeLessThanOrEqual(left + width + 1e-6)
        expect(at.y).toBeGreaterThanOrEqual(top - 1e-6)
        expect(at.y).toBeLessThanOrEqual(top + height + 1e-6)
      }
    }
  })
})

test('axes lie 30° off level, and upright stays upright', () => {
  const at = (xM: number, yM: number, zM: number) => ({ xM, yM, zM })
  const points = [at(0, 0, 0), at(1, 0, 0), at(0, 1, 0), at(0, 0, 1)]
  const on = paperFor(points, { spacing: TO_NO_SCALE, turn: 0 })
  const [origin, x, y, z] = points.map(on)
  const degrees = (to: { x: number; y: number }) =>
    (Math.atan2(to.y - origin!.y, to.x - origin!.x) * 180) / Math.PI
  expect(degrees(x!)).toBeCloseTo(30, 9)
  expect(degrees(y!)).toBeCloseTo(-30, 9)
  expect(degrees(z!)).toBeCloseTo(-90, 9)
})

test('a long stretch is drawn longer than a short one, and what is short has room for its mark', () => {
  expect(TO_NO_SCALE(0.02)).toBeGreaterThan(40)
  for (const [short, long] of [
    [0.02, 0.1],
    [0.1, 0.11],
    [0.5, 2],
  ] as const)
    expect(TO_NO_SCALE(long)).toBeGreaterThan(TO_NO_SCALE(short))
})

test('four quarter turns come back, and two put the back to the front', () => {
  const design = aBasin('up 300 mm, elbow, back 200 mm, elbow, left 300 mm')
  const ends = (turn: 0 | 2) => {
    const { signs } = isometricOf(design, { kind: 'whole' }, turn)
    return signs.at(-1)!.at.x - signs[0]!.at.x
  }
  expect(ends(0)).toBeCloseTo(-ends(2), 9)
})

describe('where two cross', () => {
  const flat = { from: { x: 0, y: 0, near: 1 }, to: { x: 100, y: 0, near: 1 } }
  const upright = { from: { x: 40, y: -50, near: 5 }, to: { x: 40, y: 50, near: 5 } }
  test('the farther one is broken there, the nearer one is whole', () => {
    const [far, near] = brokenWhereBehind([flat, upright])
    expect(near).toEqual([
      [
        { x: 40, y: -50 },
        { x: 40, y: 50 },
      ],
    ])
    expect(far).toHaveLength(2)
    expect(far![0]![1].x).toBeCloseTo(33, 9)
    expect(far![1]![0].x).toBeCloseTo(47, 9)
  })
  test('what meets at an end is not broken', () => {
    const on = { from: { x: 100, y: 0, near: 9 }, to: { x: 100, y: 80, near: 9 } }
    expect(brokenWhereBehind([flat, on]).map(({ length }) => length)).toEqual([1, 1])
  })
  test('two gaps that overlap leave no scrap between', () => {
    const beside = { from: { x: 50, y: -50, near: 5 }, to: { x: 50, y: 50, near: 5 } }
    expect(brokenWhereBehind([flat, upright, beside])[0]).toHaveLength(2)
  })
})

test('what is in line stands as far along as its lengths say', () => {
  const [run] = plumbingOf(aBasin('up 300 mm, union, up 700 mm, elbow, left 300 mm')).routes
  const places = placesOf(run!)
  const [pump, union, elbow] = places
  const { segments } = run!
  const share = segments[0]!.lengthM / (segments[0]!.lengthM + segments[1]!.lengthM)
  expect((union!.zM - pump!.zM) / (elbow!.zM - pump!.zM)).toBeCloseTo(share, 9)
})

test('a pipe that goes on past its bulkhead is two lengths, each with a mark of its own', () => {
  const design = aLoop({ form: 'outer-box' })
  const { routes } = plumbingOf(design)
  for (const { segments } of routes)
    expect(new Set(segments.map(({ id }) => id)).size).toBe(segments.length)
  expect(routes.some(({ bodies }) => bodies.some(({ kind }) => kind === 'bulkhead'))).toBe(true)
})

describe('what it is of', () => {
  const design = aBasin('up 300 mm, union, up 700 mm, elbow, left 300 mm')
  test('is named: its pump, and where its water ends', () => {
    const { signs } = isometricOf(design, { kind: 'run', routeId: 'main' })
    expect([signs[0]!.name, signs.at(-1)!.name]).toEqual([
      design.pumps[0]!.name,
      design.tanks[0]!.name,
    ])
  })
  test('of a run that is teed off, the run it leaves, unless that is drawn with it', () => {
    const teed = DESIGNS.map(([, each]) => each).find(({ returnSide }) =>
      returnSide.lines.some(({ start }) => start.at === 'tee'),
    )!
    const line = teed.returnSide.lines.find(({ start }) => start.at === 'tee')!
    const host = teed.returnSide.lines.find(({ run }) =>
      run.pieces.some(({ id }) => id === line.start.id),
    )!
    const first = (of: Parameters<typeof isometricOf>[1]) =>
      isometricOf(teed, of).signs.find(({ id }) => id === `${line.id} ${line.id}-start`)!
    expect(first({ kind: 'run', routeId: line.id }).name).toBe(host.name)
    expect(first({ kind: 'whole' }).name).toBe('')
  })
  test('joints stand on their bars, off the middle of their fitting', () => {
    const { joints, signs } = isometricOf(design, { kind: 'whole' })
    expect(joints.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['glued', 'union']))
    const union = signs.find(({ kind }) => kind === 'union')!
    const [nut] = joints.filter(({ kind }) => kind === 'union')
    expect(key(nut!.at)).toBe(key(union.at))
    for (const { along } of joints) expect(Math.hypot(along.x, along.y)).toBeCloseTo(1, 9)
  })
  test('an unknown run or sub-assembly draws nothing', () => {
    expect(isometricOf(design, { kind: 'run', routeId: 'gone' }).bars).toEqual([])
    const gone = isometricOf(design, { kind: 'sub-assembly', id: 'gone' })
    expect([gone.signs.length, gone.width, gone.height]).toEqual([0, 0, 0])
  })
})
