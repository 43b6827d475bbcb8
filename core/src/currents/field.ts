import type { Vector } from '../jet/index.ts'
import { cellAt, type Fineness, type Grid, WATER } from './grid.ts'
import type { PassingWater } from './passing.ts'

/** Which way the water of a grid moves, cell by cell, m/s; zero in what is solid. */
export interface Motion {
  readonly grid: Grid
  readonly x: Float32Array
  readonly y: Float32Array
  readonly z: Float32Array
}

/** How the water of a tank moves: its mean motion over the time it was watched, and what it was run with. */
export interface Field extends Motion {
  readonly fineness: Fineness
  /** Mean of the speed whichever way it goes: no less than the speed of the mean. */
  readonly speed: Float32Array
  readonly peak: Float32Array
  /** Viscosity of the eddies it was run with, m²/s: what spreads a dye. */
  readonly eddy: Float32Array
  /** The rocks it was run with, in the order of the grid's fill. */
  readonly rockIds: readonly string[]
  /** Through which cells water comes from the sump and leaves for it. */
  readonly passing: PassingWater
  /** Of the tank's time that was run, and watched. */
  readonly ranS: number
  readonly watchedS: number
  /** How many times faster than set its patterns ran; 1: as set. */
  readonly patternPace: number
  readonly steps: number
  /** Water won or lost by rounding, over all there is. */
  readonly massDrift: number
}

/** What can be drawn of a field. */
export type FieldFigure = 'speed' | 'peak'

/** Motion at a place, between the cells' middles; zero where it is solid. */
export function motionAt(motion: Motion, place: Vector): Vector {
  return {
    x: between(motion.grid, motion.x, place),
    y: between(motion.grid, motion.y, place),
    z: between(motion.grid, motion.z, place),
  }
}

/** A figure of a field at a place, straight between the cells' middles; SI. */
export function figureAt(field: Field, figure: FieldFigure, place: Vector): number {
  return between(field.grid, field[figure], place)
}

/** Straight between eight middles; water next to something solid keeps its own speed to the face. */
function between(grid: Grid, of: Float32Array, { x, y, z }: Vector): number {
  const [x0, fx] = split(x / grid.cellM, grid.waterX)
  const [y0, fy] = split(y / grid.cellM, grid.waterY)
  const [z0, fz] = split(z / grid.cellM, grid.waterZ)
  let sum = 0
  let weight = 0
  for (let corner = 0; corner < 8; corner++) {
    const dx = corner & 1
    const dy = (corner >> 1) & 1
    const dz = corner >> 2
    const cell = cellAt(grid, x0 + dx, y0 + dy, z0 + dz)
    if (grid.fill[cell] !== WATER) continue
    const w = (dx ? fx : 1 - fx) * (dy ? fy : 1 - fy) * (dz ? fz : 1 - fz)
    sum += w * of[cell]!
    weight += w
  }
  return weight > 0 ? sum / weight : 0
}

/** The lower of the two cells whose middles a place lies between, and how far it is to the upper. */
function split(at: number, cells: number): readonly [number, number] {
  const from = Math.min(cells + 0.5, Math.max(0, at + 0.5))
  const lower = Math.min(cells, Math.floor(from))
  return [lower, from - lower]
}
