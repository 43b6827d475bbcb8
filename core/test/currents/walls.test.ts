import { describe, expect, test } from '@jest/globals'
import { drivenChannel, wallJet } from './a-wall.ts'
import { aDomain, aRock } from './a-domain.ts'
import { AIR, gridOf, ROCK, WATER } from '../../src/currents/grid.ts'
import { WATER_M2_PER_S } from '../../src/currents/moving-water.ts'
import { wallDistance } from '../../src/currents/wall-distance.ts'
import { wallFaces } from '../../src/currents/wall-faces.ts'
import { frictionVelocity } from '../../src/currents/wall-law.ts'

const smooth = (offM: number) => ({ offM, roughM: 0, viscosityM2PerS: WATER_M2_PER_S })

describe('the law of the wall', () => {
  test('gives the friction velocity whose log law has that speed, smooth and rough', () => {
    for (const friction of [0.002, 0.01, 0.05]) {
      const plus = (0.012 * friction) / WATER_M2_PER_S
      const overSmooth = friction * (Math.log(plus) / 0.41 + 5)
      expect(frictionVelocity(overSmooth, smooth(0.012)) / friction).toBeCloseTo(1, 3)
      const overRough = friction * (Math.log(0.012 / 0.005) / 0.41 + 8.5)
      const found = frictionVelocity(overRough, { ...smooth(0.012), roughM: 0.005 })
      expect(found / friction).toBeCloseTo(1, 9)
    }
  })
  test('is viscous near a smooth wall, and zero without motion', () => {
    const friction = 0.0005
    const speed = (friction ** 2 * 0.012) / WATER_M2_PER_S
    expect(frictionVelocity(speed, smooth(0.012)) / friction).toBeCloseTo(1, 9)
    expect(frictionVelocity(0, smooth(0.012))).toBe(0)
  })
  test('rises with the speed all the way', () => {
    const found = Array.from({ length: 400 }, (_, i) => frictionVelocity(i * 5e-4, smooth(0.01)))
    found.slice(1).forEach((friction, i) => expect(friction).toBeGreaterThan(found[i]!))
  })
})

describe('the walls of a grid', () => {
  const domain = aDomain(undefined, { rocks: [aRock()] })
  const grid = gridOf(domain, 'coarse')
  test('are as far off as the nearest is', () => {
    const off = wallDistance(grid)
    const { cellsX, cellsY, fill } = grid
    const placeOf = (cell: number) =>
      [
        cell % cellsX,
        Math.floor(cell / cellsX) % cellsY,
        Math.floor(cell / (cellsX * cellsY)),
      ] as const
    const walls = [...fill.keys()].filter((cell) => fill[cell] !== WATER && fill[cell] !== AIR)
    const some = [...fill.keys()].filter((cell) => fill[cell] === WATER && cell % 97 === 0)
    for (const cell of some) {
      const [x, y, z] = placeOf(cell)
      const nearest = Math.min(
        ...walls.map((wall) => {
          const [a, b, c] = placeOf(wall)
          return Math.hypot(a - x, b - y, c - z)
        }),
      )
      expect(off[cell]).toBeCloseTo(Math.max(0.5, nearest - 0.5), 4)
    }
    expect(some.length).toBeGreaterThan(50)
  })
  test('are faces of the water, but for the air over it', () => {
    const faces = wallFaces(grid)
    const floor = faces.filter(({ axis, sign }) => axis === 2 && sign === -1)
    expect(faces.some(({ axis, sign }) => axis === 2 && sign === 1)).toBe(false)
    expect(floor.length).toBeGreaterThan(0.5 * grid.waterX * grid.waterY)
    expect(faces.some(({ behind }) => behind >= ROCK)).toBe(false)
  })
})

describe('water between two smooth panels', () => {
  test.each([
    [14, 0.003],
    [22, 0.01],
  ])('is as fast in its middle as the law within 5 %%: %d cells, u_τ %d m/s', (cells, friction) => {
    const { run, speeds, law, halfM } = drivenChannel(cells, friction)
    run((60 * halfM) / friction)
    expect(Math.abs(speeds()[cells / 2]! / law - 1)).toBeLessThan(0.05)
  })
  test('stops as the stress of its walls says, within 10 %', () => {
    const friction = 0.01
    const { run, speeds, stopDriving, halfM, stepS } = drivenChannel(22, friction)
    const bulk = () => speeds().reduce((sum, u) => sum + u / 22, 0)
    run((60 * halfM) / friction)
    stopDriving()
    // U/u_τ = ln(Re_τ)/0.41 + 5.6 − 1/0.41: the mean lies so far under the middle
    let law = bulk()
    const seconds = (20 * halfM) / friction
    let wall = friction
    for (let t = 0; t < seconds; t += stepS) {
      for (let i = 0; i < 4; i++)
        wall = law / (Math.log((wall * halfM) / WATER_M2_PER_S) / 0.41 + 5.6 - 1 / 0.41)
      law -= (wall ** 2 / halfM) * stepS
    }
    const before = bulk()
    run(seconds)
    expect(law / before).toBeLessThan(0.6)
    expect(Math.abs((before - bulk()) / (before - law) - 1)).toBeLessThan(0.1)
  })
})

test('a sheet of water along a floor slows and widens as a plane wall jet', () => {
  const at = wallJet(2)
  for (const slots of [20, 30, 40, 50, 60]) {
    const off = at(slots).speed / (3.5 / Math.sqrt(slots)) - 1
    expect([slots, Math.abs(off) < 0.15 ? 'as the law' : off]).toEqual([slots, 'as the law'])
  }
  const widens = (at(60).halfSlots - at(20).halfSlots) / 40
  expect(Math.abs(widens / 0.068 - 1)).toBeLessThan(0.15)
}, 120_000)
