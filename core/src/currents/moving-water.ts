import { Lattice, SLIPS, STICKS } from '../lattice/index.ts'
import type { RockSolid } from '../scene/index.ts'
import { rockHold } from './rock-hold.ts'
import type { StreamEddies } from './eddies.ts'
import { type Grid, ROCK, WATER } from './grid.ts'
import { Mixing } from './mixing.ts'
import { WallDrag } from './wall-drag.ts'
import { KARMAN } from './wall-law.ts'

/** C of Smagorinsky: small, for what all other eddies leave out. */
const SMAGORINSKY = 0.05
/** Steps from one look at the walls to the next, and at the eddies: both change slowly. */
const WALL_STEPS = 64
const EDDY_STEPS = 128
/** Kinematic viscosity of the water itself, m²/s (choice: warm sea water). */
export const WATER_M2_PER_S = 0.94e-6
/** Least τ − ½: thinner water than that begins to ring. */
const LEAST_OVER_HALF = 1e-4

/** What moving water is made of. */
export interface WaterOf {
  readonly grid: Grid
  readonly stepS: number
  readonly rocks: readonly RockSolid[]
  readonly eddies: StreamEddies
}

/**
 * Water in a grid's cells. Along panels, sand, boxes and the rocks' own surfaces it slides, held back by the
 * wall law's stress. In a stream its eddies are the stream's, elsewhere those its shear makes.
 */
export class MovingWater {
  readonly lattice: Lattice
  private readonly walls: WallDrag
  private readonly mixing: Mixing
  private readonly toLattice: number
  private readonly taus: Float32Array

  constructor(private readonly of: WaterOf) {
    const { cellsX, cellsY, cellsZ, fill, cellM } = of.grid
    this.toLattice = of.stepS / cellM ** 2
    this.taus = new Float32Array(fill.length).fill(0.5 + LEAST_OVER_HALF)
    const rock = rockHold(of.grid, of.rocks)
    const solid = fill.map((what, cell) => {
      if (what === WATER || what >= ROCK) return rock.solid[cell] === 1 ? STICKS : 0
      return SLIPS
    })
    const shape = { cellsX, cellsY, cellsZ, solid }
    this.lattice = new Lattice(shape, { tau: this.taus, smagorinsky: SMAGORINSKY })
    for (const held of rock.held) this.lattice.hold(held)
    this.walls = new WallDrag(this.lattice, of.grid, WATER_M2_PER_S * this.toLattice)
    this.mixing = new Mixing(of.grid)
  }

  step(): void {
    if (this.lattice.steps % WALL_STEPS === 0) this.walls.look()
    if (this.lattice.steps % EDDY_STEPS === 0) this.mix()
    this.lattice.step()
  }

  /** Viscosity of the water and its eddies as it is now, m²/s. */
  eddyNow(): Float32Array {
    return this.taus.map((tau) => (tau - 0.5) / 3 / this.toLattice)
  }

  /** ν = (τ − ½)/3 of every cell: of the streams and of the shear. */
  private mix(): void {
    const { viscosity, within } = this.of.eddies
    const own = WATER_M2_PER_S * this.toLattice
    const shearAtWall = (cell: number) => this.walls.frictionAt(cell) / (KARMAN * 0.5)
    this.mixing.each(this.lattice.read(), shearAtWall, (cell, mixed) => {
      const stream = within[cell]! * viscosity[cell]! * this.toLattice
      const nu = own + stream + (1 - within[cell]!) * mixed
      this.taus[cell] = 0.5 + Math.max(LEAST_OVER_HALF, 3 * nu)
    })
    this.lattice.setWater({ tau: this.taus, smagorinsky: SMAGORINSKY })
  }
}
