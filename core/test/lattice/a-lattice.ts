import { LATTICE_DIRECTIONS, WEIGHTS } from '../../src/lattice/d3q19.ts'
import { Lattice, type LatticeWater, type SourceTerm } from '../../src/lattice/lattice.ts'
import { STICKS } from '../../src/lattice/shape.ts'

interface Box {
  readonly cellsX: number
  readonly cellsY: number
  readonly cellsZ: number
}

/** Solid where `is` says so. */
export function solidWhere(
  { cellsX, cellsY, cellsZ }: Box,
  is: (x: number, y: number, z: number) => number,
): Uint8Array {
  const solid = new Uint8Array(cellsX * cellsY * cellsZ)
  for (let z = 0; z < cellsZ; z++)
    for (let y = 0; y < cellsY; y++)
      for (let x = 0; x < cellsX; x++) solid[(z * cellsY + y) * cellsX + x] = is(x, y, z)
  return solid
}

/** A box with panels on every side. */
export function closedBox(box: Box, kind: number, water: LatticeWater): Lattice {
  const { cellsX, cellsY, cellsZ } = box
  const solid = solidWhere(box, (x, y, z) => {
    const edge =
      x === 0 || y === 0 || z === 0 || x === cellsX - 1 || y === cellsY - 1 || z === cellsZ - 1
    return edge ? kind : 0
  })
  return new Lattice({ ...box, solid }, water)
}

/** Momentum for a cell at each step. */
export function push(cell: number, force: readonly [number, number, number]): SourceTerm[] {
  return LATTICE_DIRECTIONS.flatMap((way, direction) => {
    const along = way.reduce((sum, part, axis) => sum + part * force[axis]!, 0)
    return along === 0 ? [] : [{ cell, direction, amount: 3 * WEIGHTS[direction]! * along }]
  })
}

/** A square cavity, a slice of it, under a lid that moves to the right. */
export function cavity(cells: number, reynolds: number, lidSpeed = 0.1) {
  const size = cells + 2
  const box = { cellsX: size, cellsY: size, cellsZ: 1 }
  const solid = solidWhere(box, (x, y) =>
    x === 0 || y === 0 || x === size - 1 || y === size - 1 ? STICKS : 0,
  )
  const tau = 0.5 + (3 * lidSpeed * cells) / reynolds
  const lattice = new Lattice({ ...box, solid }, { tau, smagorinsky: 0 })
  lattice.addSource(lidGifts(cells, size, lidSpeed))
  const speeds = () => {
    const { x, y } = lattice.read()
    /** Between two cells' middles, at a share of the width and of the height. */
    const at = (of: Float32Array, across: number, up: number) => {
      const lower = (share: number) =>
        Math.max(0, Math.min(cells - 2, Math.floor(share * cells - 0.5)))
      const [i, j] = [lower(across), lower(up)]
      const [fx, fy] = [across * cells - 0.5 - i, up * cells - 0.5 - j]
      const cell = (dx: number, dy: number) => of[(j + 1 + dy) * size + i + 1 + dx]! / lidSpeed
      return (
        (1 - fy) * ((1 - fx) * cell(0, 0) + fx * cell(1, 0)) +
        fy * ((1 - fx) * cell(0, 1) + fx * cell(1, 1))
      )
    }
    return {
      u: (up: number) => at(x, 0.5, up),
      v: (across: number) => at(y, across, 0.5),
    }
  }
  return { lattice, speeds, roundSteps: cells / lidSpeed }
}

/** What comes off a moving wall has its momentum: 6 w ρ c·u; the corners stand still. */
function lidGifts(cells: number, size: number, lidSpeed: number): SourceTerm[] {
  const sources: SourceTerm[] = []
  for (let x = 1; x <= cells; x++)
    LATTICE_DIRECTIONS.forEach(([cx, cy], direction) => {
      const from = x - cx
      if (cy !== -1 || cx === 0 || from < 1 || from > cells) return
      const amount = 6 * WEIGHTS[direction]! * cx * lidSpeed
      sources.push({ cell: cells * size + x, direction, amount })
    })
  return sources
}

/** Water driven along between two panels, and the parabola; both over the parabola's fastest. */
export function channel(wide: number): { found: number[]; law: number[] } {
  const box = { cellsX: wide + 2, cellsY: 1, cellsZ: 1 }
  const solid = solidWhere(box, (x) => (x === 0 || x === wide + 1 ? STICKS : 0))
  const tau = 0.8
  const lattice = new Lattice({ ...box, solid }, { tau, smagorinsky: 0 })
  const force = 1e-6
  lattice.addSource(Array.from({ length: wide }, (_, i) => push(i + 1, [0, 0, force])).flat())
  lattice.run(16_000)
  const nu = (tau - 0.5) / 3
  const most = (force * wide ** 2) / (8 * nu)
  const { z } = lattice.read()
  const cells = Array.from({ length: wide }, (_, i) => i)
  return {
    // a step's push is half done when it is read
    found: cells.map((i) => (z[i + 1]! + force / 2) / most),
    law: cells.map((i) => ((force / (2 * nu)) * (i + 0.5) * (wide - i - 0.5)) / most),
  }
}

/** Ghia, Ghia & Shin 1982, J. Comput. Phys. 48, tables I and II. */
export const GHIA = {
  y: [
    0.9766, 0.9688, 0.9609, 0.9531, 0.8516, 0.7344, 0.6172, 0.5, 0.4531, 0.2813, 0.1719, 0.1016,
    0.0703, 0.0625, 0.0547,
  ],
  u: {
    100: [
      0.84123, 0.78871, 0.73722, 0.68717, 0.23151, 0.00332, -0.13641, -0.20581, -0.2109, -0.15662,
      -0.1015, -0.06434, -0.04775, -0.04192, -0.03717,
    ],
    400: [
      0.75837, 0.68439, 0.61756, 0.55892, 0.29093, 0.16256, 0.02135, -0.11477, -0.17119, -0.32726,
      -0.24299, -0.14612, -0.10338, -0.09266, -0.08186,
    ],
  },
  x: [
    0.9688, 0.9609, 0.9531, 0.9453, 0.9063, 0.8594, 0.8047, 0.5, 0.2344, 0.2266, 0.1563, 0.0938,
    0.0781, 0.0703, 0.0625,
  ],
  v: {
    100: [
      -0.05906, -0.07391, -0.08864, -0.10313, -0.16914, -0.22445, -0.24533, 0.05454, 0.17527,
      0.17507, 0.16077, 0.12317, 0.1089, 0.10091, 0.09233,
    ],
    // At x = 0.9063 the table prints −0.23827, which does not lie on its own curve: left out.
    400: [
      -0.12146,
      -0.15663,
      -0.19254,
      -0.22847,
      NaN,
      -0.44993,
      -0.38598,
      0.05186,
      0.30174,
      0.30203,
      0.28124,
      0.22965,
      0.2092,
      0.19713,
      0.1836,
    ],
  },
} as const
