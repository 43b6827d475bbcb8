import type { Vector } from '../jet/index.ts'
import { type Field, motionAt } from './field.ts'
import { cellHolding, type Grid, WATER } from './grid.ts'

/** One way that water goes, and how fast at each place of it. */
export interface Streamline {
  readonly places: readonly Vector[]
  readonly speeds: readonly number[]
}

/** Steps of half a cell: straight enough where the water turns. */
const STEP_CELLS = 0.5
const STILL_M_PER_S = 0.002

/** The mean motion's way from a place, so many metres on at most, by the midpoint rule. */
export function streamlineFrom(field: Field, from: Vector, mostM: number): Streamline {
  const places: Vector[] = []
  const speeds: number[] = []
  const stepM = STEP_CELLS * field.grid.cellM
  let at = from
  for (let gone = 0; gone <= mostM; gone += stepM) {
    const here = motionAt(field, at)
    const speed = Math.hypot(here.x, here.y, here.z)
    places.push(at)
    speeds.push(speed)
    if (speed < STILL_M_PER_S) break
    const middle = motionAt(field, moved(field.grid, at, here, stepM / (2 * speed)))
    const pace = Math.hypot(middle.x, middle.y, middle.z)
    if (pace < STILL_M_PER_S) break
    at = moved(field.grid, at, middle, stepM / pace)
    if (field.grid.fill[cellHolding(field.grid, at)] !== WATER) break
  }
  return { places, speeds }
}

/** Water slides along panels and surface. */
function moved(grid: Grid, at: Vector, way: Vector, times: number): Vector {
  const within = (m: number, cells: number) => Math.min(cells * grid.cellM, Math.max(0, m))
  return {
    x: within(at.x + way.x * times, grid.waterX),
    y: within(at.y + way.y * times, grid.waterY),
    z: within(at.z + way.z * times, grid.waterZ),
  }
}

/** Streamlines from every place that is water. */
export function streamlines(field: Field, from: readonly Vector[], mostM: number): Streamline[] {
  return from
    .filter((at) => field.grid.fill[cellHolding(field.grid, at)] === WATER)
    .map((at) => streamlineFrom(field, at, mostM))
    .filter(({ places }) => places.length > 2)
}
