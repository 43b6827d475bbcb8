import { describe, expect, test } from '@jest/globals'
import { aDomain, seeded } from './a-domain.ts'
import { gridOf, gridOfCells, placeOf } from '../../src/currents/grid.ts'
import { openingCells } from '../../src/currents/sources.ts'

describe('a nozzle finer than a cell', () => {
  const grid = gridOf(aDomain([], { sandDepthM: 0 }), 'coarse')
  const chance = seeded()
  const spots = Array.from({ length: 200 }, () => {
    const at = (middleM: number) => middleM + (chance() - 0.5) * 4 * grid.cellM
    const from = { x: at(0.45), y: at(0.2), z: at(0.2) }
    const towards = { x: 1, y: 0, z: 0 }
    const cells = openingCells(grid, {
      from,
      towards,
      boreM: 0.01,
      exitSpeedMPerS: 1,
      slot: null,
    })
    return { from, cells }
  })
  test('is pushed where it is, wherever that lies between the cells', () => {
    for (const { from, cells } of spots) {
      const middle = (axis: 'x' | 'y' | 'z') =>
        cells.reduce((sum, { cell, share }) => sum + share * placeOf(grid, cell)[axis], 0)
      expect(cells.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
      expect(Math.abs(middle('y') - from.y)).toBeLessThan(0.08 * grid.cellM)
      expect(Math.abs(middle('z') - from.z)).toBeLessThan(0.08 * grid.cellM)
    }
  })
  test('is of so many cells at least, however it lies between them', () => {
    const count = spots.map(
      ({ cells }) => 1 / cells.reduce((sum, { share }) => sum + share ** 2, 0),
    )
    expect(Math.min(...count)).toBeGreaterThan(4)
  })
})

test('of any tank the grid’s cells make its sizes and its water over the sand better than cells of just any size', () => {
  const chance = seeded(11)
  const off = { fitted: 0, any: 0 }
  for (let i = 0; i < 200; i++) {
    const between = (least: number, most: number) => least + (most - least) * chance()
    const [lengthM, widthM, depthM] = [between(0.3, 2), between(0.3, 0.8), between(0.3, 0.7)]
    const domain = aDomain([], { lengthM, widthM, depthM, sandDepthM: between(0, 0.08) })
    const { cellM, waterX, waterY, waterZ } = gridOfCells(domain, 4000)
    const anyM = Math.cbrt((lengthM * widthM * depthM) / 4000)
    expect(Math.abs(cellM / anyM - 1)).toBeLessThanOrEqual(0.03 + 1e-12)
    const sand = (cell: number) => Math.round(domain.sandDepthM / cell)
    const misses = (cell: number, x: number, y: number, z: number) =>
      ((x * cell) / lengthM - 1) ** 2 +
      ((y * cell) / widthM - 1) ** 2 +
      ((z * cell) / depthM - 1) ** 2 +
      (((z - sand(cell)) * cell) / (depthM - domain.sandDepthM) - 1) ** 2
    const made = (size: number) => Math.round(size / anyM)
    off.fitted += Math.sqrt(misses(cellM, waterX, waterY, waterZ) / 4) / 200
    off.any += Math.sqrt(misses(anyM, made(lengthM), made(widthM), made(depthM)) / 4) / 200
  }
  // in the mean over all of them, root mean square of the four
  expect(off.fitted).toBeLessThan(0.018)
  expect(off.any).toBeGreaterThan(0.024)
})
