import type { Vector } from '../jet/index.ts'
import { isInside } from '../scene/index.ts'
import type { Block, FlowDomain } from './flow-domain.ts'

/** What fills a cell; from ROCK on, the rock of that place in the list. */
export const WATER = 0
/** Marks a cell of a panel. */
export const PANEL = 1
/** Marks a cell of sand. */
export const SAND = 2
/** Marks a cell of the overflow's box. */
export const BOX = 3
/** Marks a cell over the water's surface. */
export const AIR = 4
/** Marks a cell of the first rock; those after it count on. */
export const ROCK = 5

/** How fine a field is. */
export type Fineness = 'coarse' | 'standard' | 'fine'

/** Cells of water to aim at: a coarse field is a look, a fine one a coffee. */
const CELLS: Readonly<Record<Fineness, number>> = {
  coarse: 22_000,
  standard: 40_000,
  fine: 120_000,
}

/** The grid that a field begins on and is held against; null: there is no coarser one. */
export const COARSER: Readonly<Record<Fineness, Fineness | null>> = {
  coarse: null,
  standard: 'coarse',
  fine: 'standard',
}

/** A tank's water cut into cubes, a layer of panel round it and the air on top. */
export interface Grid {
  readonly cellM: number
  /** With the layers round the water; x is filled up to a multiple of 4. */
  readonly cellsX: number
  readonly cellsY: number
  readonly cellsZ: number
  /** Cells of water from panel to panel and from floor to surface. */
  readonly waterX: number
  readonly waterY: number
  readonly waterZ: number
  /** At (z · cellsY + y) · cellsX + x, the first water cell at 1, 1, 1. */
  readonly fill: Uint8Array
}

const LANES = 4

/** The tank's water cut into as many cubes as the fineness asks for, and what fills each. */
export function gridOf(domain: FlowDomain, fineness: Fineness): Grid {
  return gridOfCells(domain, CELLS[fineness])
}

/** The same, of about so many cubes. */
export function gridOfCells(domain: FlowDomain, cells: number): Grid {
  const { lengthM, widthM, depthM } = domain
  const cellM = fittingCell(domain, Math.cbrt((lengthM * widthM * depthM) / cells))
  const waterX = Math.max(3, Math.round(lengthM / cellM))
  const waterY = Math.max(3, Math.round(widthM / cellM))
  const waterZ = Math.max(3, Math.round(depthM / cellM))
  const cellsX = Math.ceil((waterX + 2) / LANES) * LANES
  const cellsY = waterY + 2
  const cellsZ = waterZ + 2
  const size = { cellM, cellsX, cellsY, cellsZ, waterX, waterY, waterZ }
  const fill = new Uint8Array(cellsX * cellsY * cellsZ).fill(PANEL)
  const grid = { ...size, fill }
  for (let z = 1; z <= waterZ + 1; z++)
    for (let y = 1; y <= waterY; y++)
      for (let x = 1; x <= waterX; x++)
        fill[cellAt(grid, x, y, z)] = z > waterZ ? AIR : filling(domain, middleOf(grid, x, y, z))
  return grid
}

/** A cell may be so much larger or smaller than was aimed at. */
const CELL_PLAY = 0.03

/** About so large a cell, of which the tank's sizes and its water over the sand are as nearly whole numbers as can be. */
function fittingCell({ lengthM, widthM, depthM, sandDepthM }: FlowDomain, aboutM: number): number {
  const sizes = [lengthM, widthM, depthM, depthM - sandDepthM]
  const off = (cellM: number) => {
    const made = (sizeM: number) => Math.round(sizeM / cellM) * cellM
    const whole = [made(lengthM), made(widthM), made(depthM), made(depthM) - made(sandDepthM)]
    return whole.reduce((sum, size, i) => sum + (size / sizes[i]! - 1) ** 2, 0)
  }
  return sizes
    .flatMap((size) => wholeParts(size, aboutM))
    .reduce((best, cellM) => (off(cellM) < off(best) ? cellM : best), aboutM)
}

/** Cells of which so many whole ones make a size. */
function wholeParts(sizeM: number, aboutM: number): number[] {
  const most = Math.floor(sizeM / (aboutM * (1 - CELL_PLAY)))
  const least = Math.ceil(sizeM / (aboutM * (1 + CELL_PLAY)))
  return Array.from({ length: Math.max(0, most - least + 1) }, (_, i) => sizeM / (least + i))
}

/** A cell's index: x runs fastest, then y, then z. */
export function cellAt({ cellsX, cellsY }: Grid, x: number, y: number, z: number): number {
  return (z * cellsY + y) * cellsX + x
}

/** Middle of a cell, m from the tank's left, front and floor. */
export function middleOf({ cellM }: Grid, x: number, y: number, z: number): Vector {
  return { x: (x - 0.5) * cellM, y: (y - 0.5) * cellM, z: (z - 0.5) * cellM }
}

/** The place of a cell by its number. */
export function placeOf(grid: Grid, cell: number): Vector {
  const x = cell % grid.cellsX
  const y = Math.floor(cell / grid.cellsX) % grid.cellsY
  return middleOf(grid, x, y, Math.floor(cell / (grid.cellsX * grid.cellsY)))
}

/** The cell that holds a place, kept inside the water's box. */
export function cellHolding(grid: Grid, { x, y, z }: Vector): number {
  const within = (at: number, cells: number) =>
    Math.min(cells, Math.max(1, Math.floor(at / grid.cellM) + 1))
  return cellAt(grid, within(x, grid.waterX), within(y, grid.waterY), within(z, grid.waterZ))
}

function filling(domain: FlowDomain, { x, y, z }: Vector): number {
  if (z < domain.sandDepthM) return SAND
  if (domain.box && holds(domain.box, x, y, z)) return BOX
  const rock = domain.rocks.findIndex((solid) => isInside(solid, x, y, z))
  return rock < 0 ? WATER : ROCK + rock
}

/** Is a place inside a block? In m. */
export function holds(block: Block, x: number, y: number, z: number): boolean {
  return (
    x >= block.fromX &&
    x <= block.toX &&
    y >= block.fromY &&
    y <= block.toY &&
    z >= block.fromZ &&
    z <= block.toZ
  )
}

/** Cells of water, in the order of their numbers. */
export function waterCells({ fill }: Grid): number[] {
  const cells: number[] = []
  for (let cell = 0; cell < fill.length; cell++) if (fill[cell] === WATER) cells.push(cell)
  return cells
}

/** Steps to the six neighbours of a cell. */
export function neighbourSteps({ cellsX, cellsY }: Grid): readonly number[] {
  return [1, -1, cellsX, -cellsX, cellsX * cellsY, -cellsX * cellsY]
}
