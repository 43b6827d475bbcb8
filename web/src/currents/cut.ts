import type { Grid, Vector, FlowDomain } from '@yew-basin/core'

/** A drawing: from above, from the front, or from the left end. */
export type CutName = 'plan' | 'front' | 'end'

type Axis = 'x' | 'y' | 'z'

/** Which way each drawing runs across and up, and what it cuts. */
export const CUTS: Readonly<Record<CutName, { across: Axis; up: Axis; through: Axis }>> = {
  plan: { across: 'x', up: 'y', through: 'z' },
  front: { across: 'x', up: 'z', through: 'y' },
  end: { across: 'y', up: 'z', through: 'x' },
}

/** A drawing's scale: metres to pixels, the tank in the middle. */
export interface CutScale {
  readonly pxPerM: number
  readonly left: number
  readonly bottom: number
  readonly widthPx: number
  readonly heightPx: number
}

const MARGIN_PX = 12

export function sizesOf(domain: FlowDomain): Readonly<Record<Axis, number>> {
  return { x: domain.lengthM, y: domain.widthM, z: domain.depthM }
}

export function scaleOf(
  name: CutName,
  domain: FlowDomain,
  widthPx: number,
  heightPx: number,
): CutScale {
  const { across, up } = CUTS[name]
  const sizes = sizesOf(domain)
  const pxPerM = Math.max(
    1,
    Math.min((widthPx - 2 * MARGIN_PX) / sizes[across], (heightPx - 2 * MARGIN_PX) / sizes[up]),
  )
  const w = sizes[across] * pxPerM
  const h = sizes[up] * pxPerM
  return {
    pxPerM,
    left: (widthPx - w) / 2,
    bottom: (heightPx + h) / 2,
    widthPx: w,
    heightPx: h,
  }
}

/** Where a place is on a drawing. */
export function onCut(name: CutName, scale: CutScale, at: Vector): { x: number; y: number } {
  const { across, up } = CUTS[name]
  return {
    x: scale.left + at[across] * scale.pxPerM,
    y: scale.bottom - at[up] * scale.pxPerM,
  }
}

/** An upright box on a drawing. */
export function boxOnCut(
  name: CutName,
  scale: CutScale,
  from: Vector,
  to: Vector,
): { x: number; y: number; width: number; height: number } {
  const a = onCut(name, scale, from)
  const b = onCut(name, scale, to)
  return { x: a.x, y: b.y, width: b.x - a.x, height: a.y - b.y }
}

/** The layer of cells that a cut at a place goes through, and how its pixels lie. */
export function layerOf(name: CutName, grid: Grid, atM: number) {
  const { across, up, through } = CUTS[name]
  const cells = { x: grid.waterX, y: grid.waterY, z: grid.waterZ }
  const step = { x: 1, y: grid.cellsX, z: grid.cellsX * grid.cellsY }
  const layer = Math.min(cells[through], Math.max(1, Math.floor(atM / grid.cellM) + 1))
  return {
    columns: cells[across],
    rows: cells[up],
    /** Cell of a column and a row, the row counted from the top. */
    cell: (column: number, row: number) =>
      layer * step[through] + (column + 1) * step[across] + (cells[up] - row) * step[up],
  }
}

/** Rows of places a streamline begins at on a drawing. */
const SEED_ROWS = 9

/** Places spread evenly over a cut, every other row shifted by half a step. */
export function seedsOn(name: CutName, domain: FlowDomain, atM: number): Vector[] {
  const { across, up, through } = CUTS[name]
  const sizes = sizesOf(domain)
  const stepM = sizes[up] / SEED_ROWS
  const columns = Math.floor(sizes[across] / stepM)
  const seeds: Vector[] = []
  for (let row = 0; row < SEED_ROWS; row++)
    for (let column = 0; column < columns; column++)
      seeds.push({
        x: 0,
        y: 0,
        z: 0,
        [across]: (column + (row % 2 ? 0.75 : 0.25)) * stepM,
        [up]: (row + 0.5) * stepM,
        [through]: atM,
      })
  return seeds
}
