import { dot, type Jet, momentumOf, type Vector } from '../jet/index.ts'
import { LATTICE_DIRECTIONS, type SourceTerm, WEIGHTS } from '../lattice/index.ts'
import { cellAt, cellHolding, type Grid, holds, middleOf, WATER } from './grid.ts'
import type { Block } from './flow-domain.ts'

/** A cell and its share of the whole. */
export interface CellShare {
  readonly cell: number
  readonly share: number
}

/** Half the least width of an opening, in cells: narrower, how it lies between the cells tells in the whole tank. */
export const LEAST_OPEN_CELLS = 1.1

/** Cells in which a stream is pushed: a disc or a slot, never thinner than the grid can carry, each cell as far as it lies in it. */
export function openingCells(grid: Grid, jet: Jet): CellShare[] {
  const { cellM } = grid
  const reach = Math.max(jet.boreM, jet.slot?.lengthM ?? 0) / 2 + 2 * cellM
  const found: CellShare[] = []
  eachCell(grid, around(jet.from, reach), (cell, place) => {
    const share = inOpening(jet, place, cellM)
    if (share > 0) found.push({ cell, share })
  })
  const cells =
    found.length > 0 ? found : nearestWater(grid, jet.from).map((cell) => ({ cell, share: 1 }))
  const all = cells.reduce((sum, { share }) => sum + share, 0)
  return cells.map(({ cell, share }) => ({ cell, share: share / all }))
}

function inOpening(jet: Jet, place: Vector, cellM: number): number {
  const to = { x: place.x - jet.from.x, y: place.y - jet.from.y, z: place.z - jet.from.z }
  const out = dot(to, jet.towards)
  const within = (halfM: number, offM: number) =>
    Math.min(1, Math.max(0, 0.5 + (Math.max(halfM, LEAST_OPEN_CELLS * cellM) - offM) / cellM))
  const along = Math.max(0, 1 - Math.abs(out / cellM - 0.5))
  const across2 = Math.max(0, dot(to, to) - out * out)
  if (!jet.slot) return along * within(jet.boreM / 2, Math.sqrt(across2))
  const aside = Math.abs(dot(to, jet.slot.along))
  const beside = Math.sqrt(Math.max(0, across2 - aside * aside))
  return along * within(jet.slot.lengthM / 2, aside) * within(jet.slot.widthM / 2, beside)
}

/** The holding cell, or where that is solid the nearest water. */
function nearestWater(grid: Grid, from: Vector): number[] {
  const own = cellHolding(grid, from)
  if (grid.fill[own] === WATER) return [own]
  let best = -1
  let least = Infinity
  eachCell(grid, around(from, 6 * grid.cellM), (cell, place) => {
    const far = Math.hypot(place.x - from.x, place.y - from.y, place.z - from.z)
    if (far < least) {
      least = far
      best = cell
    }
  })
  return best < 0 ? [] : [best]
}

/** Cells of water in a block, all alike; the nearest layer where it is thinner than a cell. */
export function mouthCells(grid: Grid, mouth: Block): CellShare[] {
  const half = grid.cellM / 2
  const wide: Block = {
    fromX: mouth.fromX - half,
    toX: mouth.toX + half,
    fromY: mouth.fromY - half,
    toY: mouth.toY + half,
    fromZ: Math.min(mouth.fromZ, mouth.toZ - half) - half,
    toZ: mouth.toZ + half,
  }
  const cells: number[] = []
  eachCell(grid, wide, (cell, { x, y, z }) => {
    if (holds(wide, x, y, z)) cells.push(cell)
  })
  return cells.map((cell) => ({ cell, share: 1 / cells.length }))
}

function around({ x, y, z }: Vector, reach: number): Block {
  return {
    fromX: x - reach,
    toX: x + reach,
    fromY: y - reach,
    toY: y + reach,
    fromZ: z - reach,
    toZ: z + reach,
  }
}

function eachCell(grid: Grid, block: Block, visit: (cell: number, place: Vector) => void): void {
  const range = (from: number, to: number, cells: number) => [
    Math.max(1, Math.floor(from / grid.cellM) + 1),
    Math.min(cells, Math.ceil(to / grid.cellM)),
  ]
  const [x0, x1] = range(block.fromX, block.toX, grid.waterX)
  const [y0, y1] = range(block.fromY, block.toY, grid.waterY)
  const [z0, z1] = range(block.fromZ, block.toZ, grid.waterZ)
  for (let z = z0!; z <= z1!; z++)
    for (let y = y0!; y <= y1!; y++)
      for (let x = x0!; x <= x1!; x++) {
        const cell = cellAt(grid, x, y, z)
        if (grid.fill[cell] === WATER) visit(cell, middleOf(grid, x, y, z))
      }
}

/** Momentum of a stream for each step: M dt²/dx⁴ in the lattice's own units, 3 w c·F to each population. */
export function addPushSources(
  cells: readonly CellShare[],
  jet: Jet,
  cellM: number,
  stepS: number,
): SourceTerm[] {
  const force = (momentumOf(jet) * stepS ** 2) / cellM ** 4
  const { x, y, z } = jet.towards
  return cells.flatMap(({ cell, share }) =>
    LATTICE_DIRECTIONS.flatMap(([cx, cy, cz], direction) => {
      const amount = 3 * WEIGHTS[direction]! * force * share * (cx * x + cy * y + cz * z)
      return amount === 0 ? [] : [{ cell, direction, amount }]
    }),
  )
}

/** Water that comes in or, negative, leaves: Q dt/dx³ at each step. */
export function addPourSources(
  cells: readonly CellShare[],
  flowM3PerS: number,
  cellM: number,
  stepS: number,
): SourceTerm[] {
  const mass = (flowM3PerS * stepS) / cellM ** 3
  return cells.flatMap(({ cell, share }) =>
    LATTICE_DIRECTIONS.map((_, direction) => ({
      cell,
      direction,
      amount: WEIGHTS[direction]! * mass * share,
    })),
  )
}
