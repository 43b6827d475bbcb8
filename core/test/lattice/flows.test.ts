import { describe, expect, test } from '@jest/globals'
import { Lattice } from '../../src/lattice/lattice.ts'
import { STICKS } from '../../src/lattice/shape.ts'
import { cavity, GHIA, push, solidWhere } from './a-lattice.ts'

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
    ].filter((one) => !Number.isNaN(one))
    expect(off.length).toBe(reynolds === 100 ? 30 : 29)
    expect(Math.max(...off.map(Math.abs))).toBeLessThan(0.02)
    expect(Math.abs(lattice.excessMass()) / cells ** 2).toBeLessThan(1e-6)
  })
})

test('water driven between two panels runs as the parabola within 1 %', () => {
  const wide = 22
  const box = { cellsX: wide + 2, cellsY: 1, cellsZ: 1 }
  const solid = solidWhere(box, (x) => (x === 0 || x === wide + 1 ? STICKS : 0))
  const tau = 0.8
  const lattice = new Lattice({ ...box, solid }, { tau, smagorinsky: 0 })
  const force = 1e-6
  lattice.addSource(Array.from({ length: wide }, (_, i) => push(i + 1, [0, 0, force])).flat())
  lattice.run(16_000)
  const nu = (tau - 0.5) / 3
  const { z } = lattice.read()
  const most = (force * wide ** 2) / (8 * nu)
  for (let i = 0; i < wide; i++) {
    const law = (force / (2 * nu)) * (i + 0.5) * (wide - i - 0.5)
    // a step's push is half done when it is read
    expect(Math.abs(z[i + 1]! + force / 2 - law)).toBeLessThan(0.01 * most)
  }
})
