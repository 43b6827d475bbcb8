import type { Vector } from '../jet/index.ts'
import type { HeldWater } from '../lattice/index.ts'
import type { RockSolid } from '../scene/index.ts'
import { type Grid, placeOf, ROCK, WATER } from './grid.ts'
import { offRocks } from './rock-surface.ts'
import { DRAG_STEPS, frictionVelocity } from './wall-law.ts'

/** Grain of rock, m (choice). */
const ROCK_ROUGH_M = 0.005
/** So many cells under the surface water may still slide along it. */
const SLIDES_CELLS = 0.5
/** Deeper than this the rock is solid. */
const SOLID_CELLS = 1

/** What a grid's rocks do to the water at their surface, and which cells lie so deep in them that they are solid. */
export interface RockHold {
  /** The water under the surface, and that beside it. */
  readonly held: readonly HeldWater[]
  /** 1: solid. */
  readonly solid: Uint8Array
}

/**
 * Rock as it stands, not as its cubes do: none of the water goes through its surface, which is smooth
 * however coarse the grid; along it the water slides, held back as the law of the wall says over each
 * part's own area; half a cell deeper it stands.
 */
export function rockHold(grid: Grid, rocks: readonly RockSolid[]): RockHold {
  const { fill, cellM } = grid
  const solid = new Uint8Array(fill.length)
  const under = new Cells(1)
  // beside it, water only slides
  const beside = new Cells(DRAG_STEPS)
  const rough = { offM: cellM / 2, roughM: ROCK_ROUGH_M, viscosityM2PerS: 0 }
  const drag = frictionVelocity(1, rough) ** 2
  for (let cell = 0; cell < fill.length; cell++) {
    if (fill[cell] !== WATER && fill[cell]! < ROCK) continue
    const { offM, out } = offRocks(rocks, placeOf(grid, cell))
    const off = offM / cellM
    // a surface's area in a cell, by how near it passes
    const area = Math.max(0, 1 - Math.abs(off))
    if (off < -SOLID_CELLS) solid[cell] = 1
    else if (off < 0) under.add(cell, out, [within(-off), within(-off - SLIDES_CELLS), area * drag])
    else if (off < 1) beside.add(cell, out, [0, 0, area * drag * DRAG_STEPS])
  }
  return { held: [under.held(), beside.held()], solid }
}

class Cells {
  private readonly cells: number[] = []
  private readonly figures: number[] = []
  constructor(private readonly everySteps: number) {}

  add(cell: number, { x, y, z }: Vector, shares: readonly number[]): void {
    this.cells.push(cell)
    this.figures.push(x, y, z, ...shares)
  }

  held(): HeldWater {
    const { cells, figures, everySteps } = this
    return { cells: Int32Array.from(cells), figures: Float32Array.from(figures), everySteps }
  }
}

const within = (share: number) => Math.min(1, Math.max(0, share))
