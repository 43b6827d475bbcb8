import { describe, expect, test } from '@jest/globals'
import { aDomain, seeded } from './a-domain.ts'
import { gridOf, gridOfCells, placeOf, waterCells } from '../../src/currents/grid.ts'
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

test('the cells of any tank make its sizes and its water over the sand: off by 2.5 % in the mean where they are of just any size', () => {
  const chance = seeded(11)
  const between = (least: number, most: number) => least + (most - least) * chance()
  const tanks = Array.from({ length: 200 }, () => {
    const size = { lengthM: between(0.3, 2), widthM: between(0.3, 0.8), depthM: between(0.3, 0.7) }
    return aDomain([], { ...size, sandDepthM: between(0, 0.08) })
  })
  const misses = tanks.map((tank) => {
    const { lengthM, widthM, depthM, sandDepthM } = tank
    const grid = gridOfCells(tank, 4000)
    const { cellM, waterX, waterY, waterZ } = grid
    const aim = Math.cbrt((lengthM * widthM * depthM) / 4000)
    expect(Math.abs(cellM / aim - 1)).toBeLessThanOrEqual(0.03 + 1e-12)
    const layers = waterCells(grid).length / (waterX * waterY)
    const made = [
      waterX / lengthM,
      waterY / widthM,
      waterZ / depthM,
      layers / (depthM - sandDepthM),
    ]
    return Math.hypot(...made.map((cellsAM) => cellsAM * cellM - 1)) / 2
  })
  expect(misses.reduce((sum, off) => sum + off / misses.length, 0)).toBeLessThan(0.018)
})
