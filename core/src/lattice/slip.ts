import { LATTICE_DIRECTIONS } from './d3q19.ts'
import { type LatticeShape, SLIPS } from './shape.ts'

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

/** The cell that a direction leads to from another, round the wrapped ends of y and z. */
export function neighbour(
  { cellsX, cellsY, cellsZ }: Pick<LatticeShape, 'cellsX' | 'cellsY' | 'cellsZ'>,
  cell: number,
  direction: number,
): number {
  const [cx, cy, cz] = LATTICE_DIRECTIONS[direction]!
  const x = cell % cellsX
  const y = Math.floor(cell / cellsX) % cellsY
  const z = Math.floor(cell / (cellsX * cellsY))
  const toY = (y + cy + cellsY) % cellsY
  const toZ = (z + cz + cellsZ) % cellsZ
  return (toZ * cellsY + toY) * cellsX + x + cx
}

/** Slanting directions split into the part against the wall and the part along it, both ways round. */
const SLANTS = LATTICE_DIRECTIONS.flatMap((leaving, i) => {
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
  return LATTICE_DIRECTIONS.findIndex((direction) =>
    direction.every((part, axis) => part === way[axis]),
  )
}

/**
 * Every link that slips. The wall must be flat over both cells: at steps and in corners water
 * bounces back, so that each population has one place to go and none is lost.
 */
export function slipLinks(shape: LatticeShape): SlipLink[] {
  const { solid } = shape
  const links: SlipLink[] = []
  if (!solid.includes(SLIPS)) return links
  for (let cell = 0; cell < solid.length; cell++) {
    if (solid[cell] !== 0) continue
    for (const { leaving, coming, against, along } of SLANTS) {
      if (solid[neighbour(shape, cell, against)] !== SLIPS) continue
      const to = neighbour(shape, cell, along)
      if (solid[to] === 0 && solid[neighbour(shape, cell, leaving)] === SLIPS)
        links.push({ from: cell, leaving, to, coming })
    }
  }
  return links
}
