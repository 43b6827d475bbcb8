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
  private readonly lengths: Float32Array
  private readonly offCells: Float32Array

  constructor(grid: Grid) {
    this.water = Int32Array.from(grid.fill.keys()).filter((cell) => grid.fill[cell] === WATER)
    this.beside = besideOf(grid, this.water)
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
      const speed = Math.hypot(x[cell]!, y[cell]!, z[cell]!)
      const most = ROOM_SHARE * speed * this.offCells[cell]!
      give(cell, Math.min(most, this.lengths[cell]! ** 2 * shear))
    }
  }

  /** |S| = √(2 S S) of a cell, by its neighbours; beside a wall by the one on the other side. */
  private shear(x: Float32Array, y: Float32Array, z: Float32Array, i: number): number {
    const [xx, yy, zz] = [this.slope(x, 0, i), this.slope(y, 1, i), this.slope(z, 2, i)]
    const xy = this.slope(x, 1, i) + this.slope(y, 0, i)
    const xz = this.slope(x, 2, i) + this.slope(z, 0, i)
    const yz = this.slope(y, 2, i) + this.slope(z, 1, i)
    return Math.sqrt(2 * (xx * xx + yy * yy + zz * zz) + xy * xy + xz * xz + yz * yz)
  }

  private slope(of: Float32Array, axis: number, i: number): number {
    const cell = this.water[i]!
    const up = this.beside[i * AXES.length + axis * 2]!
    const down = this.beside[i * AXES.length + axis * 2 + 1]!
    const far = Number(up !== cell) + Number(down !== cell)
    return far === 0 ? 0 : (of[up]! - of[down]!) / far
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

function lengthsOf(off: Float32Array): Float32Array {
  const most = off.reduce((far, cells) => Math.max(far, cells), 0)
  return off.map((cells) => {
    const inner = 1 - cells / most
    return cells > 0 ? most * (0.14 - 0.08 * inner ** 2 - 0.06 * inner ** 4) : 0
  })
}
