import { describe, expect, test } from '@jest/globals'
import { cavity, channel, GHIA } from './a-lattice.ts'

describe('a lid-driven cavity agrees with Ghia, Ghia & Shin within 2 % of the lid', () => {
  test.each([
    [100, 66, 18],
    [400, 66, 36],
  ] as const)('at a Reynolds number of %d', (reynolds, cells, rounds) => {
    const { lattice, speeds, roundSteps } = cavity(cells, reynolds)
    lattice.run(rounds * roundSteps)
    const { u, v } = speeds()
    const off = [
      ...GHIA.y.map((y, i) => u(y) - GHIA.u[reynolds][i]!),
      ...GHIA.x.map((x, i) => v(x) - GHIA.v[reynolds][i]!),
    ].filter((speed) => !Number.isNaN(speed))
    expect(off.length).toBe(reynolds === 100 ? 30 : 29)
    expect(Math.max(...off.map(Math.abs))).toBeLessThan(0.02)
    expect(Math.abs(lattice.excessMass()) / cells ** 2).toBeLessThan(1e-6)
  })
})

test('water driven between two panels runs as the parabola within 1 %', () => {
  const { found, law } = channel(22)
  const off = found.map((speed, i) => Math.abs(speed - law[i]!))
  expect(off).toHaveLength(22)
  expect(Math.max(...off)).toBeLessThan(0.01)
})
