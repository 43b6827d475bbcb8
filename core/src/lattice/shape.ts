/** Solid, and water at it stands still. */
export const STICKS = 1
/** Solid, and water slides along it: panels far thinner in friction than a cell, or the air. */
export const SLIPS = 2

/** A box of cells, water or solid. All lengths in cells, times in steps, the density of water 1. */
export interface LatticeShape {
  /** A multiple of 4; the first and last must be solid. */
  readonly cellsX: number
  /** y and z wrap: where there are no solid cells, what leaves at one end comes in at the other. */
  readonly cellsY: number
  readonly cellsZ: number
  /** STICKS or SLIPS; zero for water; at (z · cellsY + y) · cellsX + x. */
  readonly solid: Uint8Array
}
