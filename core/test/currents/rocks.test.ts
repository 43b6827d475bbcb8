import { describe, expect, test } from '@jest/globals'
import { aDomain, aRock } from './a-domain.ts'
import { roundRockIn } from './a-round-rock.ts'
import { gridOf, ROCK, WATER } from '../../src/currents/grid.ts'
import { rockHold } from '../../src/currents/rock-hold.ts'
import { rockPoints } from '../../src/currents/rock-points.ts'
import { offRock, offRocks } from '../../src/currents/rock-surface.ts'
import type { HeldWater } from '../../src/lattice/index.ts'
import { isInside } from '../../src/scene/rock.ts'

const boulder = aRock({ form: 'boulder', zM: 0.1 })
const box = aRock({ zM: 0.1 })

describe('off a rock', () => {
  test.each([
    [[0.25, 0.2, 0.175], 0.1, [-1, 0, 0]],
    [[0.5, 0.2, 0.31], 0.06, [0, 0, 1]],
    [[0.32, 0.06, 0.175], 0.05, [-0.6, -0.8, 0]],
    [[0.5, 0.2, 0.24], -0.01, [0, 0, 1]],
    [[0.36, 0.2, 0.175], -0.01, [-1, 0, 0]],
  ])('a box is as far as its nearest face or edge: %p', ([x, y, z], offM, way) => {
    const off = offRock(box, { x: x!, y: y!, z: z! })
    expect(off.offM).toBeCloseTo(offM, 9)
    expect([off.out.x, off.out.y, off.out.z].map((part) => part.toFixed(9))).toEqual(
      way.map((part) => part.toFixed(9)),
    )
  })
  test('a boulder’s surface is nowhere off itself, and a little off it is that little', () => {
    for (const { at, out } of rockPoints(boulder, aDomain(undefined, { rocks: [boulder] }))) {
      expect(Math.abs(offRock(boulder, at).offM)).toBeLessThan(1e-9)
      const [x, y, z] = [at.x + 0.002 * out.x, at.y + 0.002 * out.y, at.z + 0.002 * out.z]
      expect(offRock(boulder, { x, y, z }).offM / 0.002).toBeCloseTo(1, 1)
    }
  })
  test('the middle of a boulder lies inside it', () => {
    expect(offRock(boulder, { x: 0.5, y: 0.2, z: 0.175 }).offM).toBeLessThan(-0.05)
  })
  test('the nearest of several counts; without any, all is far', () => {
    const far = aRock({ xM: 0.8 })
    expect(offRocks([far, box], { x: 0.3, y: 0.2, z: 0.175 }).offM).toBeCloseTo(0.05, 9)
    expect(offRocks([], { x: 0.3, y: 0.2, z: 0.175 }).offM).toBe(Infinity)
  })
})

describe('the places a rock is judged at', () => {
  const area = (rocks: Parameters<typeof aDomain>[1]) => {
    const domain = aDomain(undefined, rocks)
    return rockPoints(domain.rocks[0]!, domain).reduce((sum, { areaM2 }) => sum + areaM2, 0)
  }
  test('come to the whole surface of one that stands free', () => {
    expect(area({ rocks: [box] })).toBeCloseTo(2 * (0.3 * 0.2 + 0.3 * 0.15 + 0.2 * 0.15), 9)
    const round = aRock({ form: 'boulder', lengthM: 0.2, heightM: 0.2, zM: 0.1 })
    expect(area({ rocks: [round] }) / (4 * Math.PI * 0.1 ** 2)).toBeCloseTo(1, 3)
    // half axes 15, 10, 7.5 cm, by Thomsen's formula, right within 1.1 %
    const p = 1.6075
    const [a, b, c] = [0.15 ** p, 0.1 ** p, 0.075 ** p]
    const thomsen = 4 * Math.PI * ((a * b + a * c + b * c) / 3) ** (1 / p)
    expect(Math.abs(area({ rocks: [boulder] }) / thomsen - 1)).toBeLessThan(0.012)
  })
  test('lie in the water: not under the sand, in another rock or behind a panel', () => {
    const domain = aDomain(undefined, {
      rocks: [
        aRock({ form: 'boulder', zM: -0.02, xM: -0.1 }),
        aRock({ id: 'other', xM: 0.1, yM: 0.15, heightM: 0.1 }),
      ],
    })
    const places = rockPoints(domain.rocks[0]!, domain)
    expect(places.length).toBeGreaterThan(100)
    for (const { at } of places) {
      expect(at.z).toBeGreaterThan(domain.sandDepthM)
      expect(at.x).toBeGreaterThan(0)
      expect(isInside(domain.rocks[1]!, at.x, at.y, at.z)).toBe(false)
    }
  })
})

describe('what rock holds of a grid’s water', () => {
  const domain = aDomain(undefined, { rocks: [boulder] })
  const grid = gridOf(domain, 'standard')
  const {
    held: [under, beside],
    solid,
  } = rockHold(grid, domain.rocks)
  test('is nothing without rock', () => {
    expect(rockHold(grid, []).held.map(({ cells }) => cells.length)).toEqual([0, 0])
  })
  test('only slows the water outside; inside it lets none through, and is solid where it is deep', () => {
    const losesAlongItsNormal = ({ figures }: HeldWater) =>
      Array.from(figures).filter((_, i) => i % 6 === 3)
    expect(Math.max(...losesAlongItsNormal(beside!))).toBe(0)
    expect(Math.min(...losesAlongItsNormal(under!))).toBeGreaterThan(0)
    expect([...beside!.cells].every((cell) => grid.fill[cell] === WATER)).toBe(true)
    expect([...under!.cells].every((cell) => grid.fill[cell]! >= ROCK && !solid[cell])).toBe(true)
    expect(solid.filter((one) => one === 1).length).toBeGreaterThan(10)
  })
  test('drags over the rock’s own area, on every grid', () => {
    const whole = rockPoints(boulder, domain).reduce((sum, { areaM2 }) => sum + areaM2, 0)
    for (const fineness of ['coarse', 'standard', 'fine'] as const) {
      const own = gridOf(domain, fineness)
      // ln(y/k)/0.41 + 8.5 at half a cell, over grains of 5 mm
      const law = (Math.log(own.cellM / 2 / 0.005) / 0.41 + 8.5) ** -2
      let drag = 0
      for (const { figures, everySteps } of rockHold(own, domain.rocks).held)
        for (let i = 5; i < figures.length; i += 6) drag += figures[i]! / everySteps
      expect(Math.abs((drag * own.cellM ** 2) / (law * whole) - 1)).toBeLessThan(0.05)
    }
  })
})

describe('water that goes past a round rock', () => {
  // Lamb, Hydrodynamics, § 96: what a sphere makes of a stream that has just begun
  test.each([
    [4, [0, 0, 0]],
    [4, [0.5, 0.5, 0.5]],
    [5.3, [0.3, 0.2, 0.4]],
  ])('is as fast as the ideal stream within 10 %%: %d cells round, off by %p', (radius, off) => {
    const speeds = roundRockIn(radius, off)
    for (const far of [1.35, 1.6, 2])
      for (const degrees of [30, 60, 90])
        expect([far, degrees, Math.abs(speeds(far, degrees) - 1) < 0.1]).toEqual([
          far,
          degrees,
          true,
        ])
  })
})
