import { describe, expect, test } from '@jest/globals'
import { planField, domainOf, solveBasin, type FlowDomain } from '@yew-basin/core'
import { boxOnCut, layerOf, onCut, scaleOf, seedsOn } from '../src/currents/cut.ts'
import { Unreachable } from '../src/api/client.ts'
import { notKept, whereWords } from '../src/currents/currents-words.ts'
import { thinned } from '../src/currents/thinned.ts'
import { rockShapes, streamShape } from '../src/currents/scene-shapes.ts'
import { cssColour, dyeColour, speedColour } from '../src/currents/speed-colour.ts'
import { aDesign } from './a-design.ts'

const design = aDesign('up 1.2 m, elbow, left 200 mm')
const domain: FlowDomain = domainOf(design, solveBasin(design), 0)
const scale = scaleOf('plan', domain, 624, 324)

describe('a drawing', () => {
  test('fits the tank with its margin, to scale, the front at the bottom', () => {
    expect(scale.pxPerM).toBeCloseTo(600, 9)
    const front = onCut('plan', scale, { x: 0, y: 0, z: 0.2 })
    const back = onCut('plan', scale, { x: domain.lengthM, y: domain.widthM, z: 0 })
    expect(front.x).toBeCloseTo(12, 9)
    expect(front.y - back.y).toBeCloseTo(300, 9)
    expect(back.x - front.x).toBeCloseTo(600, 9)
  })
  test('draws a box by two of its corners', () => {
    const box = boxOnCut(
      'front',
      scaleOf('front', domain, 624, 400),
      { x: 0.1, y: 0, z: 0.1 },
      { x: 0.3, y: 1, z: 0.2 },
    )
    expect(box.width / box.height).toBeCloseTo(2, 9)
  })
  test('draws a rock where it stands', () => {
    const rock = {
      id: 'r',
      name: 'R',
      form: 'box',
      zone: 'soft',
      xM: 0.2,
      yM: 0.1,
      zM: 0,
      lengthM: 0.3,
      widthM: 0.2,
      heightM: 0.1,
    } as const
    const [shape] = rockShapes('plan', scale, [rock])
    expect(shape).toMatchObject({ rock })
    expect(shape!.width).toBeCloseTo(180, 9)
    expect(shape!.height).toBeCloseTo(120, 9)
  })
  test('draws a stream that comes straight at you as its opening only', () => {
    const jet = {
      from: { x: 0.1, y: 0.2, z: 0.3 },
      towards: { x: 1, y: 0, z: 0 },
      exitSpeedMPerS: 1,
      boreM: 0.04,
      slot: null,
    }
    const reach = {
      streamId: 's',
      jet,
      lengthM: 0.5,
      meets: 'panel',
      rockId: null,
      end: { x: 0.6, y: 0.2, z: 0.3 },
      endMPerS: 0.4,
      throwM: 2,
    } as const
    expect(streamShape('plan', scale, reach).outline).not.toBe('')
    expect(streamShape('end', scaleOf('end', domain, 300, 300), reach).outline).toBe('')
  })
})

describe('a layer of cells', () => {
  const moved = {
    ...domain,
    streams: [
      {
        id: 's',
        name: 's',
        from: 'pump',
        flowM3PerS: 1e-3,
        pattern: null,
        jet: {
          from: { x: 0.1, y: 0.2, z: 0.3 },
          towards: { x: 1, y: 0, z: 0 },
          exitSpeedMPerS: 1,
          boreM: 0.04,
          slot: null,
        },
      },
    ],
  } as FlowDomain
  const { grid } = planField(moved, 'coarse')!
  test.each(['plan', 'front', 'end'] as const)(
    '%s begins at the top left and stays in the water’s box',
    (name) => {
      const layer = layerOf(name, grid, 0.1)
      const cells = new Set<number>()
      for (let row = 0; row < layer.rows; row++)
        for (let column = 0; column < layer.columns; column++) cells.add(layer.cell(column, row))
      expect(cells.size).toBe(layer.rows * layer.columns)
      expect(Math.max(...cells)).toBeLessThan(grid.fill.length)
      expect(layer.cell(0, 0)).toBeGreaterThan(layer.cell(0, layer.rows - 1))
    },
  )
})

test('streamlines begin on the cut, all over it', () => {
  const seeds = seedsOn('front', domain, 0.25)
  expect(seeds.length).toBeGreaterThan(60)
  for (const seed of seeds) {
    expect(seed.y).toBe(0.25)
    expect(seed.x).toBeLessThan(domain.lengthM)
    expect(seed.z).toBeLessThan(domain.depthM)
  }
})

test('colours: dull where dead, then deeper and deeper', () => {
  const light = (mPerS: number) => speedColour(mPerS, 0.02).reduce((a, b) => a + b, 0)
  expect(light(0.01)).toBe(speedColour(0, 0.02).reduce((a, b) => a + b, 0))
  expect(light(0.03)).toBeGreaterThan(light(0.1))
  expect(light(0.1)).toBeGreaterThan(light(0.3))
  expect(light(0.5)).toBe(light(0.4))
  expect(cssColour(dyeColour(0))).toBe('rgb(244 242 236)')
})

test('a place in words, as one stands before the tank', () => {
  expect(whereWords({ x: 0.05, y: 0.4, z: 0.02 }, domain)).toBe('low, left back')
  expect(whereWords({ x: 0.5, y: 0.25, z: 0.44 }, domain)).toBe('near the surface, middle centre')
})

test('a field that could not be kept does not claim to be', () => {
  expect(notKept(new Unreachable())).toMatch(/goes when you leave this page. The server does not/)
  expect(notKept(new Unreachable())).not.toMatch(/is kept/)
  expect(notKept(new Error('It is too large.'))).toMatch(/too large/)
})

describe('ways of the water on a drawing', () => {
  const way = (y: number, speed: number, from = 0, to = 100) => {
    const places = Array.from({ length: to - from + 1 }, (_, i) => ({ x: from + i, y, z: 0 }))
    return { places, speeds: places.map(() => speed) }
  }
  const draw = (...ways: readonly ReturnType<typeof way>[]) =>
    thinned(ways, ({ x, y }) => ({ x, y }), 10)

  test('that are too near to a faster one are left out', () => {
    const drawn = draw(way(0, 0.1), way(4, 0.3), way(15, 0.2))
    expect(drawn.map(([first]) => first!.y)).toEqual([4, 15])
  })
  test('go as far as they keep their distance', () => {
    const crossing = {
      places: Array.from({ length: 101 }, (_, i) => ({ x: 50, y: 50 - i, z: 0 })),
      speeds: Array.from({ length: 101 }, () => 0.1),
    }
    const drawn = draw(way(0, 0.3), crossing)
    expect(drawn).toHaveLength(2)
    expect(drawn[1]!.at(-1)!.y).toBe(10)
  })
  test('that are too short to say anything are left out', () => {
    expect(draw(way(0, 0.3, 0, 15))).toEqual([])
  })
})
