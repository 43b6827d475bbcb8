import type { Lattice } from '../lattice/index.ts'
import type { Field, Motion } from './field.ts'
import { type Grid, WATER } from './grid.ts'

/** Mean speeds of the first half of a watch and of the last, cell by cell, m/s. */
export type Halves = readonly [Float32Array, Float32Array]

type Means = Pick<Field, 'x' | 'y' | 'z' | 'speed' | 'peak'>

/**
 * Looks at a lattice's water again and again, and what it was in the mean: m/s, zero in what is solid, though
 * under a rock's surface water still slides, which is the surface's own doing.
 */
export class Watch {
  /** What the first half came to. */
  private first: { readonly readings: number; readonly speed: Float32Array } | null = null

  constructor(
    private readonly lattice: Lattice,
    private readonly grid: Grid,
    /** Of a cell a step, m/s. */
    private readonly toSpeed: number,
  ) {}

  /** Looks once, at a share of the whole watch. */
  look(share: number): void {
    const { readings, speed } = this.lattice.sums()
    if (share >= 0.5 && readings > 0) this.first ??= { readings, speed: speed.slice() }
    this.lattice.keep()
  }

  means(): Means & { readonly halves: Halves } {
    const { x, y, z, speed, highestSquare, readings } = this.lattice.sums()
    const mean = (sum: Float32Array) => this.wet((cell) => sum[cell]! / readings)
    const none = { readings: 0, speed: speed.map(() => 0) }
    const half = this.first ?? none
    const between = (from: typeof half, to: typeof half) =>
      this.wet((cell) => (to.speed[cell]! - from.speed[cell]!) / (to.readings - from.readings))
    const whole = { readings, speed }
    return {
      x: mean(x),
      y: mean(y),
      z: mean(z),
      speed: mean(speed),
      peak: this.wet((cell) => Math.sqrt(highestSquare[cell]!)),
      halves: [between(none, this.first ?? whole), between(half, whole)],
    }
  }

  /** As it moves at this moment. */
  now(): Omit<Motion, 'grid'> {
    const { x, y, z } = this.lattice.read()
    return { x: this.wet((c) => x[c]!), y: this.wet((c) => y[c]!), z: this.wet((c) => z[c]!) }
  }

  private wet(of: (cell: number) => number): Float32Array {
    const { fill } = this.grid
    return Float32Array.from(fill, (what, cell) => (what === WATER ? of(cell) * this.toSpeed : 0))
  }
}
