import { describe, expect, test } from '@jest/globals'
import { execFileSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { closedBox, push, solidWhere } from './a-lattice.ts'
import { LATTICE_DIRECTIONS, opposite, WEIGHTS } from '../../src/lattice/d3q19.ts'
import { Lattice } from '../../src/lattice/lattice.ts'
import { SLIPS, STICKS } from '../../src/lattice/shape.ts'

const BOX = { cellsX: 12, cellsY: 9, cellsZ: 8 }
const THIN: { tau: number; smagorinsky: number } = { tau: 0.52, smagorinsky: 0.1 }
const MIDDLE = (4 * BOX.cellsY + 4) * BOX.cellsX + 5

/** The same step, slowly and in doubles: streaming out of place, walls that throw back. */
class SlowLattice {
  private f: number[][]
  constructor(
    private readonly solid: Uint8Array,
    private readonly tau: number,
    private readonly smagorinsky: number,
    private readonly force: readonly [number, number, number],
  ) {
    this.f = LATTICE_DIRECTIONS.map(() => Array.from(solid, () => 0))
    /** What rests in a wall for a step, as in the lattice that is stepped in place. */
    this.resting = LATTICE_DIRECTIONS.map(() => Array.from(solid, () => 0))
  }
  private resting: number[][]

  step(): void {
    push(MIDDLE, this.force).forEach(({ cell, direction, amount }) => {
      this.f[direction]![cell]! += amount
    })
    const next = LATTICE_DIRECTIONS.map(() => Array.from(this.solid, () => 0))
    const nextResting = LATTICE_DIRECTIONS.map(() => Array.from(this.solid, () => 0))
    for (let cell = 0; cell < this.solid.length; cell++) {
      if (this.solid[cell]) continue
      this.collided(cell).forEach((value, direction) => {
        const [x, y, z] = LATTICE_DIRECTIONS[direction]!
        const to = cell + (z * BOX.cellsY + y) * BOX.cellsX + x
        if (this.solid[to]) nextResting[opposite(direction)]![cell] = value
        else next[direction]![to] = value
      })
    }
    this.resting.forEach((list, direction) =>
      list.forEach((value, cell) => (next[direction]![cell]! += value)),
    )
    this.f = next
    this.resting = nextResting
  }

  private collided(cell: number): number[] {
    const f = LATTICE_DIRECTIONS.map((_, i) => this.f[i]![cell]!)
    const sum = (of: (way: readonly number[], i: number) => number) =>
      LATTICE_DIRECTIONS.reduce((total, way, i) => total + f[i]! * of(way, i), 0)
    const rho = sum(() => 1)
    const j = [0, 1, 2].map((a) => sum((way) => way[a]!))
    const over = [0, 1, 2].map((a) =>
      [0, 1, 2].map(
        (b) => sum((way) => way[a]! * way[b]!) - (a === b ? rho / 3 : 0) - j[a]! * j[b]!,
      ),
    )
    const size = over.flat().reduce((total, part) => total + Math.abs(part), 0)
    const kept = 1 - 1 / this.tau + 36 * this.smagorinsky ** 2 * size
    return LATTICE_DIRECTIONS.map((way, i) => {
      let second = 0
      for (let a = 0; a < 3; a++)
        for (let b = 0; b < 3; b++)
          second +=
            (way[a]! * way[b]! - (a === b ? 1 / 3 : 0)) * (j[a]! * j[b]! + kept * over[a]![b]!)
      const first = way.reduce((total, part, a) => total + part * j[a]!, 0)
      return WEIGHTS[i]! * (rho + 3 * first + 4.5 * second)
    })
  }

  momentum(cell: number): number[] {
    return [0, 1, 2].map((a) =>
      LATTICE_DIRECTIONS.reduce((sum, way, i) => sum + way[a]! * this.f[i]![cell]!, 0),
    )
  }
}

describe('the compiled loops', () => {
  test('are what their source compiles to', () => {
    const tool = fileURLToPath(new URL('../../../tools/kernel.mjs', import.meta.url))
    const cwd = fileURLToPath(new URL('../../..', import.meta.url))
    expect(execFileSync(process.execPath, [tool, '--check'], { cwd, encoding: 'utf8' })).toBe('')
  })
  test('begin with water that moves as it is told to, none won or lost, and only before the first step', () => {
    const box = closedBox(BOX, STICKS, THIN)
    const speeds = (seed: number) =>
      Float32Array.from(box.shape.solid, (solid, i) => (solid ? 0 : 0.05 * Math.sin(seed + i)))
    const told = { x: speeds(0), y: speeds(1), z: speeds(2) }
    box.begin(told)
    const { x, y, z, excess } = box.read()
    for (let cell = 0; cell < box.cells; cell++) {
      expect(Math.abs(x[cell]! - told.x[cell]!)).toBeLessThan(1e-6)
      expect(Math.abs(y[cell]! - told.y[cell]!)).toBeLessThan(1e-6)
      expect(Math.abs(z[cell]! - told.z[cell]!)).toBeLessThan(1e-6)
      expect(Math.abs(excess[cell]!)).toBeLessThan(1e-6)
    }
    box.step()
    expect(() => box.begin(told)).toThrow(RangeError)
  })
  test('hold water: of a stream in the open so much is left after each step, and no mass is lost', () => {
    const box = {
      ...BOX,
      solid: solidWhere(BOX, (x) => (x === 0 || x === BOX.cellsX - 1 ? SLIPS : 0)),
    }
    const lattice = new Lattice(box, { tau: 0.8, smagorinsky: 0 })
    const still = new Float32Array(lattice.cells)
    const moving = (speed: number) => still.map((_, cell) => (box.solid[cell] ? 0 : speed))
    lattice.begin({ x: still, y: moving(0.06), z: moving(0.01) })
    const cells = Int32Array.from(box.solid.keys()).filter((cell) => box.solid[cell] === 0)
    // along (0, 0.6, 0.8) a fifth, across it nothing but a drag; every second step a tenth across it
    const figures = (of: readonly number[]) =>
      Float32Array.from({ length: 6 * cells.length }, (_, i) => of[i % 6]!)
    lattice.hold({ cells, figures: figures([0, 0.6, 0.8, 0.2, 0, 0.5]), everySteps: 1 })
    lattice.hold({ cells, figures: figures([0, 0.6, 0.8, 0, 0.1, 0]), everySteps: 2 })
    let along = 0.6 * 0.06 + 0.8 * 0.01
    let across = 0.8 * 0.06 - 0.6 * 0.01
    // until the ripple of the first step off the panels comes so far
    for (let step = 0; step < 4; step++) {
      lattice.step()
      along *= 0.8
      across -= 0.5 * Math.abs(across) * across
      if (step % 2 === 0) across *= 0.9
      const { y, z, excess } = lattice.read()
      expect(0.6 * y[MIDDLE]! + 0.8 * z[MIDDLE]!).toBeCloseTo(along, 5)
      expect(0.8 * y[MIDDLE]! - 0.6 * z[MIDDLE]!).toBeCloseTo(across, 5)
      expect(Math.abs(excess[MIDDLE]!)).toBeLessThan(1e-6)
    }
  })
  test('step as the same equations step slowly', () => {
    const force = [2e-3, -5e-4, 1e-3] as const
    const fast = closedBox(BOX, STICKS, THIN)
    fast.addSource(push(MIDDLE, force))
    const slow = new SlowLattice(fast.shape.solid, THIN.tau, THIN.smagorinsky, force)
    for (let i = 0; i < 31; i++) {
      fast.step()
      slow.step()
    }
    const { x, y, z } = fast.read()
    let most = 0
    for (let cell = 0; cell < fast.cells; cell++) {
      if (fast.shape.solid[cell]) continue
      const [jx, jy, jz] = slow.momentum(cell)
      most = Math.max(most, Math.abs(jx!))
      expect(Math.abs(x[cell]! - jx!)).toBeLessThan(1e-6)
      expect(Math.abs(y[cell]! - jy!)).toBeLessThan(1e-6)
      expect(Math.abs(z[cell]! - jz!)).toBeLessThan(1e-6)
    }
    expect(most).toBeGreaterThan(1e-3)
  })
})

describe('a closed box', () => {
  test.each([
    ['that holds water back', STICKS],
    ['that water slides along', SLIPS],
  ])('%s keeps its mass to 1e-6', (_, kind) => {
    const lattice = closedBox(BOX, kind, THIN)
    lattice.addSource(push(MIDDLE, [3e-3, 1e-3, 0]))
    const water = 10 * 7 * 6
    for (let i = 0; i < 5; i++) {
      lattice.run(401)
      expect(Math.abs(lattice.excessMass()) / water).toBeLessThan(1e-6)
    }
    const { x } = lattice.read()
    expect(Math.max(...x)).toBeGreaterThan(1e-3)
  })
  test('with a rock in it that slips, and steps, keeps it too', () => {
    const solid = solidWhere(BOX, (x, y, z) => {
      const edge = x === 0 || y === 0 || z === 0 || x > 10 || y > 7 || z > 6
      const rock = x > 6 && y > 3 && z < 4 - Number(x > 8)
      return edge || rock ? SLIPS : 0
    })
    const lattice = new Lattice({ ...BOX, solid }, THIN)
    lattice.addSource(push(MIDDLE, [3e-3, 0, 1e-3]))
    lattice.run(2000)
    expect(Math.abs(lattice.excessMass()) / 400).toBeLessThan(1e-6)
  })
})

test('water that slides between slipping panels is not held back, between others it is', () => {
  const speedAfter = (kind: number) => {
    const box = { cellsX: 16, cellsY: 3, cellsZ: 3 }
    const tall = { ...box, cellsY: 12 }
    const solid = solidWhere(tall, (x, _, z) =>
      x === 0 || x === 15 || z === 0 || z === 2 ? kind : 0,
    )
    const lattice = new Lattice({ ...tall, solid }, { tau: 0.6, smagorinsky: 0 })
    const sources = []
    for (let y = 0; y < 12; y++)
      for (let x = 1; x < 15; x++) sources.push(...push((12 + y) * 16 + x, [0, 1e-4, 0]))
    const source = lattice.addSource(sources)
    lattice.run(100)
    lattice.setFactor(source, 0)
    const pushed = lattice.read().y[(12 + 5) * 16 + 8]!
    lattice.run(400)
    return lattice.read().y[(12 + 5) * 16 + 8]! / pushed
  }
  expect(speedAfter(SLIPS)).toBeGreaterThan(0.999)
  expect(speedAfter(STICKS)).toBeLessThan(0.05)
})

test('what is kept of a run: sums of speeds, and the highest', () => {
  const lattice = closedBox(BOX, STICKS, { tau: 0.8, smagorinsky: 0 })
  const source = lattice.addSource(push(MIDDLE, [1e-3, 0, 0]))
  lattice.run(10)
  const first = lattice.read().x[MIDDLE]!
  lattice.keep()
  lattice.setFactor(source, -1)
  lattice.run(40)
  const second = lattice.read().x[MIDDLE]!
  lattice.keep()
  const sums = lattice.sums()
  expect(sums.readings).toBe(2)
  expect(sums.x[MIDDLE]).toBeCloseTo(first + second, 7)
  expect(second).toBeLessThan(0)
  expect(sums.speed[MIDDLE]).toBeGreaterThan(Math.abs(first + second))
  expect(Math.sqrt(sums.highestSquare[MIDDLE]!)).toBeGreaterThanOrEqual(first - 1e-9)
})

test('a width that the loops cannot step is refused', () => {
  const box = { cellsX: 10, cellsY: 3, cellsZ: 3 }
  const solid = new Uint8Array(90)
  expect(() => new Lattice({ ...box, solid }, THIN)).toThrow('multiple of 4, is 10')
})
