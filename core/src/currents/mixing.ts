import type { Moments } from '../lattice/index.ts'
import { neighbour } from '../lattice/index.ts'
import { type Grid, WATER } from './grid.ts'
import { AXES } from './wall-drag.ts'
import { wallDistance } from './wall-distance.ts'

/**
 * No eddies are larger than such a share of the speed times the distance to the nearest wall, as Chen & Xu
 * (1998, A zero-equation turbulence model for indoor airflow simulation) have it, who found 0.039 for air that
 * goes round a room; ours by the plane wall jet, of which 0.03 to 0.1 hold both laws.
 */
const ROOM_SHARE = 0.06

/**
 * The eddies that sheared water makes, in cells and steps: ν_t = l² |S|, l = H (0.14 − 0.08 (1 − y/H)² −
 * 0.06 (1 − y/H)⁴) (Nikuradse 1932), y the distance to the nearest wall, H the largest in this water.
 */
export class Mixing {
  private readonly water: Int32Array
  /** The water beside each water cell along each axis, up and down; itself where there is none. */
  private readonly beside: Int32Array
  /** One over the cells between the two along each axis; zero where both are itself. */
  private readonly perCell: Float32Array
  private readonly lengths: Float32Array
  private readonly offCells: Float32Array

  constructor(grid: Grid) {
    this.water = Int32Array.from(grid.fill.keys()).filter((cell) => grid.fill[cell] === WATER)
    this.beside = besideOf(grid, this.water)
    this.perCell = perCellOf(this.water, this.beside)
    this.offCells = wallDistance(grid)
    this.lengths = lengthsOf(this.offCells)
  }

  /** Gives each cell of water its eddies' viscosity; `shearAtWall` is what a wall's own law has there, or zero. */
  each(
    { x, y, z }: Moments,
    shearAtWall: (cell: number) => number,
    give: (cell: number, viscosity: number) => void,
  ): void {
    for (let i = 0; i < this.water.length; i++) {
      const cell = this.water[i]!
      const shear = Math.max(this.shear(x, y, z, i), shearAtWall(cell))
      const speed = Math.sqrt(x[cell]! ** 2 + y[cell]! ** 2 + z[cell]! ** 2)
      const most = ROOM_SHARE * speed * this.offCells[cell]!
      give(cell, Math.min(most, this.lengths[cell]! ** 2 * shear))
    }
  }

  /** |S| = √(2 S S) of a cell, by its neighbours; beside a wall by the one on the other side. */
  private shear(x: Float32Array, y: Float32Array, z: Float32Array, i: number): number {
    const { beside, perCell } = this
    const [east, west] = [beside[6 * i]!, beside[6 * i + 1]!]
    const [back, front] = [beside[6 * i + 2]!, beside[6 * i + 3]!]
    const [up, down] = [beside[6 * i + 4]!, beside[6 * i + 5]!]
    const [byX, byY, byZ] = [perCell[3 * i]!, perCell[3 * i + 1]!, perCell[3 * i + 2]!]
    const xx = byX * (x[east]! - x[west]!)
    const yy = byY * (y[back]! - y[front]!)
    const zz = byZ * (z[up]! - z[down]!)
    const xy = byY * (x[back]! - x[front]!) + byX * (y[east]! - y[west]!)
    const xz = byZ * (x[up]! - x[down]!) + byX * (z[east]! - z[west]!)
    const yz = byZ * (y[up]! - y[down]!) + byY * (z[back]! - z[front]!)
    return Math.sqrt(2 * (xx * xx + yy * yy + zz * zz) + xy * xy + xz * xz + yz * yz)
  }
}

function besideOf(grid: Grid, water: Int32Array): Int32Array {
  const beside = new Int32Array(water.length * AXES.length)
  water.forEach((cell, i) =>
    AXES.forEach((direction, k) => {
      const next = neighbour(grid, cell, direction)
      beside[i * AXES.length + k] = grid.fill[next] === WATER ? next : cell
    }),
  )
  return beside
}

function perCellOf(water: Int32Array, beside: Int32Array): Float32Array {
  return Float32Array.from({ length: 3 * water.length }, (_, at) => {
    const cell = water[Math.floor(at / 3)]
    const far = Number(beside[2 * at] !== cell) + Number(beside[2 * at + 1] !== cell)
    return far === 0 ? 0 : 1 / far
  })
}

function lengthsOf(off: Float32Array): Float32Array {
  const most = off.reduce((far, cells) => Math.max(far, cells), 0)
  return off.map((cells) => {
    const inner = 1 - cells / most
    return cells > 0 ? most * (0.14 - 0.08 * inner ** 2 - 0.06 * inner ** 4) : 0
  })
}
