import { LATTICE_DIRECTIONS, neighbour } from '../lattice/index.ts'
import { memoize } from '../numeric/index.ts'
import { AIR, type Grid, ROCK, SAND, WATER } from './grid.ts'

/** Grain of sand, m (choice); panels and boxes are smooth. */
const SAND_ROUGH_M = 0.001

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
}

/** Every face of the water that a panel, the sand or the overflow's box lies behind, which are square to the grid; found once a grid. */
export const wallFaces: (grid: Grid) => readonly WallFace[] = memoize(facesOf)

function facesOf(grid: Grid): WallFace[] {
  const faces: WallFace[] = []
  const { fill } = grid
  for (let cell = 0; cell < fill.length; cell++) {
    if (fill[cell] !== WATER) continue
    LATTICE_DIRECTIONS.forEach((way, direction) => {
      const axis = way.findIndex((part) => part !== 0)
      if (axis < 0 || way.filter((part) => part !== 0).length !== 1) return
      const behind = fill[neighbour(grid, cell, direction)]!
      if (behind === WATER || behind === AIR || behind >= ROCK) return
      const roughM = behind === SAND ? SAND_ROUGH_M : 0
      faces.push({ cell, behind, axis, sign: way[axis] as 1 | -1, roughM })
    })
  }
  return faces
}
