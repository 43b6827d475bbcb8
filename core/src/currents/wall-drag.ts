import { LATTICE_DIRECTIONS, type Lattice } from '../lattice/index.ts'
import type { Grid } from './grid.ts'
import { type WallFace, wallFaces } from './wall-faces.ts'
import { DRAG_STEPS, frictionVelocity } from './wall-law.ts'

/** Each cell's six axes, x up, x down, y up and so on: where its drag is given. */
export const AXES = [0, 1, 2].flatMap((axis) =>
  [1, -1].map((sign) =>
    LATTICE_DIRECTIONS.findIndex((way) => way.every((part, i) => part === (i === axis ? sign : 0))),
  ),
)

/** A wall's middle of the first cell, in cells. */
const FIRST_MIDDLE = 0.5

/** What the walls of a grid do to a lattice's water, in cells and steps: panels, sand and boxes take momentum from what slides along them. */
export class WallDrag {
  private readonly faces: readonly WallFace[]
  private readonly cells: Int32Array
  /** Of a cell among the wall cells; −1: no wall. */
  private readonly placeOf: Int32Array
  /** Friction velocity of each cell that slides. */
  private readonly friction: Float32Array
  private readonly source: number

  constructor(
    private readonly lattice: Lattice,
    private readonly grid: Grid,
    private readonly viscosity: number,
  ) {
    this.faces = wallFaces(grid)
    this.cells = Int32Array.from(new Set(this.faces.map(({ cell }) => cell)))
    this.placeOf = new Int32Array(grid.fill.length).fill(-1)
    this.cells.forEach((cell, i) => (this.placeOf[cell] = i))
    this.friction = new Float32Array(this.cells.length)
    const terms = [...this.cells].flatMap((cell) =>
      AXES.map((direction) => ({ cell, direction, amount: 0 })),
    )
    this.source = lattice.addSource(terms, { factor: DRAG_STEPS, everySteps: DRAG_STEPS })
  }

  /** Friction velocity of a cell that slides along a wall; zero: none. */
  frictionAt(cell: number): number {
    const at = this.placeOf[cell]!
    return at < 0 ? 0 : this.friction[at]!
  }

  /** Stress of every wall by the speed along it, to be taken at each step until the next look. */
  look(): void {
    const { x, y, z } = this.lattice.read()
    const speeds = [x, y, z] as const
    const amounts = new Float32Array(this.cells.length * AXES.length)
    this.friction.fill(0)
    for (const face of this.faces) {
      const a = (face.axis + 1) % 3
      const b = (face.axis + 2) % 3
      const ua = speeds[a]![face.cell]!
      const ub = speeds[b]![face.cell]!
      const speed = Math.sqrt(ua * ua + ub * ub)
      if (speed === 0) continue
      const at = this.placeOf[face.cell]!
      const force = this.stress(at, face, speed)
      give(amounts, at, a, (-force * ua) / speed)
      give(amounts, at, b, (-force * ub) / speed)
    }
    this.lattice.setAmounts(this.source, amounts)
  }

  /** u_τ² of a face. */
  private stress(at: number, { roughM }: WallFace, speed: number): number {
    const friction = frictionVelocity(speed, {
      offM: FIRST_MIDDLE,
      roughM: roughM / this.grid.cellM,
      viscosityM2PerS: this.viscosity,
    })
    this.friction[at] = Math.max(this.friction[at]!, friction)
    return friction ** 2
  }
}

/** Momentum along an axis: half to those that go its way, half from those that come. */
function give(amounts: Float32Array, at: number, axis: number, momentum: number): void {
  amounts[at * AXES.length + axis * 2]! += momentum / 2
  amounts[at * AXES.length + axis * 2 + 1]! -= momentum / 2
}
