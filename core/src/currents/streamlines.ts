import type { Vector } from '../jet/vector.ts'
import { motionAt, type Field } from './field.ts'
import { cellHolding, placeOf, WATER, waterCells } from './grid.ts'

/** One way that water goes, and how fast at each place of it. */
export interface Streamline {
  readonly places: readonly Vector[]
  readonly speeds: readonly number[]
}

/** Steps of half a cell: straight enough where the water turns. */
const STEP_CELLS = 0.5
const MOST_STEPS = 400
const STILL_M_PER_S = 0.002

/** The mean motion's way from a place, forwards, by the midpoint rule. */
export function streamlineFrom(field: Field, from: Vector): Streamline {
  const places: Vector[] = []
  const speeds: number[] = []
  const stepM = STEP_CELLS * field.grid.cellM
  let at = from
  for (let i = 0; i < MOST_STEPS; i++) {
    const here = motionAt(field, at)
    const speed = Math.hypot(here.x, here.y, here.z)
    places.push(at)
    speeds.push(speed)
    if (speed < STILL_M_PER_S) break
    const half = along(at, here, stepM / (2 * speed))
    const middle = motionAt(field, half)
    const pace = Math.hypot(middle.x, middle.y, middle.z)
    if (pace < STILL_M_PER_S) break
    at = along(at, middle, stepM / pace)
    if (field.grid.fill[cellHolding(field.grid, at)] !== WATER) break
  }
  return { places, speeds }
}

function along(at: Vector, way: Vector, times: number): Vector {
  return { x: at.x + way.x * times, y: at.y + way.y * times, z: at.z + way.z * times }
}

/** Streamlines that begin evenly all over the water. */
export function streamlines(field: Field, count: number): Streamline[] {
  const cells = waterCells(field.grid)
  const every = Math.max(1, Math.floor(cells.length / count))
  return cells
    .filter((_, i) => i % every === Math.floor(every / 2))
    .map((cell) => streamlineFrom(field, placeOf(field.grid, cell)))
    .filter(({ places }) => places.length > 4)
}
