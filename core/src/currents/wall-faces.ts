import { LATTICE_DIRECTIONS, neighbour } from '../lattice/index.ts'
import { memoize } from '../numeric/index.ts'
import { AIR, type Grid, ROCK, SAND, WATER } from './grid.ts'

/** Grain of sand, and of rock, m (choices); panels and boxes are smooth. */
const SAND_ROUGH_M = 0.001
const ROCK_ROUGH_M = 0.005

/** A face of a water cell that a wall lies behind. */
export interface WallFace {
  readonly cell: number
  /** What fills the cell behind it. */
  readonly behind: number
  /** 0 to 2: the axis it is square to. */
  readonly axis: number
  /** Towards the wall along it. */
  readonly sign: 1 | -1
  readonly roughM: number
  /** Of its own area, what a step of something slanted counts for. */
  readonly share: number
  readonly isRock: boolean
}

/** How far round a face the slant of its rock is read, cells. */
const SLANT_CELLS = 2

/** Every face of the water that a panel, the sand, the overflow's box or a rock lies behind; found once a grid. */
export const wallFaces: (grid: Grid) => readonly WallFace[] = memoize(facesOf)

function facesOf(grid: Grid): WallFace[] {
  const faces: WallFace[] = []
  const { fill } = grid
  for (let cell = 0; cell < fill.length; cell++) {
    if (fill[cell] !== WATER) continue
    LATTICE_DIRECTIONS.forEach((way, direction) => {
      const axis = way.findIndex((part) => part !== 0)
      if (axis < 0 || way.filter((part) => part !== 0).length !== 1) return
      const beside = fill[neighbour(grid, cell, direction)]!
      if (beside === WATER || beside === AIR) return
      const sign = way[axis] as 1 | -1
      const isRock = beside >= ROCK
      const roughM = isRock ? ROCK_ROUGH_M : beside === SAND ? SAND_ROUGH_M : 0
      const inward = (isRock && slantOf(grid, cell)) || way
      const share = 1 / inward.reduce((sum, part) => sum + Math.abs(part), 0)
      faces.push({ cell, behind: beside, axis, sign, roughM, isRock, share })
    })
  }
  return faces
}

/** Which way the rock round a cell lies; null: all round alike. A slanted surface is as large as its steps over the sum of its normal's parts. */
function slantOf(grid: Grid, cell: number): readonly [number, number, number] | null {
  const { cellsX, cellsY, cellsZ, fill } = grid
  const at = [
    cell % cellsX,
    Math.floor(cell / cellsX) % cellsY,
    Math.floor(cell / (cellsX * cellsY)),
  ] as const
  const sum: [number, number, number] = [0, 0, 0]
  const reach = SLANT_CELLS
  for (let z = Math.max(0, at[2] - reach); z <= Math.min(cellsZ - 1, at[2] + reach); z++)
    for (let y = Math.max(0, at[1] - reach); y <= Math.min(cellsY - 1, at[1] + reach); y++)
      for (let x = Math.max(0, at[0] - reach); x <= Math.min(cellsX - 1, at[0] + reach); x++) {
        if (fill[(z * cellsY + y) * cellsX + x]! < ROCK) continue
        sum[0] += x - at[0]
        sum[1] += y - at[1]
        sum[2] += z - at[2]
      }
  const size = Math.hypot(...sum)
  return size > 0 ? [sum[0] / size, sum[1] / size, sum[2] / size] : null
}
