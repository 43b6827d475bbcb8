import { DIRECTIONS } from './d3q19.ts'
import { SLIPS, type LatticeShape } from './shape.ts'

/**
 * A population that leaves a cell slantwise against a flat slipping wall and comes off it with its
 * way along kept: from one cell into the next along the wall.
 */
export interface SlipLink {
  readonly from: number
  readonly leaving: number
  readonly to: number
  readonly coming: number
}

/** Step from a cell to the one a direction leads to, where nothing wraps. */
export function shiftOf({ cellsX, cellsY }: LatticeShape, direction: number): number {
  const [x, y, z] = DIRECTIONS[direction]!
  return (z * cellsY + y) * cellsX + x
}

/** Slanting directions split into the part against the wall and the part along it, both ways round. */
const SLANTS = DIRECTIONS.flatMap((leaving, i) => {
  const axes = [0, 1, 2].filter((axis) => leaving[axis] !== 0)
  if (axes.length !== 2) return []
  return axes.map((axis) => {
    const coming = leaving.map((part, a) => (a === axis ? -part : part))
    const against = leaving.map((part, a) => (a === axis ? part : 0))
    const along = leaving.map((part, a) => (a === axis ? 0 : part))
    return {
      leaving: i,
      coming: indexOf(coming),
      against: indexOf(against),
      along: indexOf(along),
    }
  })
})

function indexOf(way: readonly number[]): number {
  return DIRECTIONS.findIndex((one) => one.every((part, axis) => part === way[axis]))
}

/**
 * Every link that slips. The wall must be flat over both cells: at steps and in corners water
 * bounces back, so that each population has one place to go and none is lost.
 */
export function slipLinks(shape: LatticeShape): SlipLink[] {
  const { solid, cellsX, cellsY, cellsZ } = shape
  const links: SlipLink[] = []
  if (!solid.includes(SLIPS)) return links
  const slants = SLANTS.map((one) => ({
    ...one,
    wall: shiftOf(shape, one.against),
    next: shiftOf(shape, one.along),
  }))
  for (let z = 1; z < cellsZ - 1; z++)
    for (let y = 1; y < cellsY - 1; y++)
      for (let x = 1; x < cellsX - 1; x++) {
        const cell = (z * cellsY + y) * cellsX + x
        if (solid[cell] !== 0) continue
        for (const { leaving, coming, wall, next } of slants)
          if (
            solid[cell + wall] === SLIPS &&
            solid[cell + next] === 0 &&
            solid[cell + next + wall] === SLIPS
          )
            links.push({ from: cell, leaving, to: cell + next, coming })
      }
  return links
}
