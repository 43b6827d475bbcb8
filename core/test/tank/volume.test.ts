import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { expectClose } from '../close.ts'
import { csvTable, number } from '../tables.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { rockVolumeM3, sandDepthM, sandVolumeM3 } from '../../src/tank/volume.ts'

describe('what rock and sand displace, against the check table', () => {
  test.each(csvTable('skimmer.csv').map((row) => [row.case!, row] as const))('%s', (name, row) => {
    const given = {
      rockMassKg: number(row, 'rock_kg'),
      rockDensityKgPerM3: number(row, 'rock_density_kg_m3'),
      sandMassKg: number(row, 'sand_kg'),
      sandGrainDensityKgPerM3: number(row, 'sand_grain_density_kg_m3'),
    }
    const water = number(row, 'display_L') + number(row, 'box_L') + number(row, 'sump_L')
    const solidL = (rockVolumeM3(given) + sandVolumeM3(given)) * 1000 + number(row, 'equipment_L')
    expectClose(name, water - solidL, number(row, 'net_volume_L'))
  })
})

test('a bed of 27 kg of grains over half a square metre is 33 mm deep with 40 % water', () => {
  const tank = aBasin().tanks[0]!
  expect(sandDepthM(tank, tank.displacement)).toBeCloseTo(0.01 / 0.6 / 0.5, 12)
})

test('net water is gross less rock and grains, and never below zero', () => {
  expect(solveBasin(aBasin()).tanks[0]).toMatchObject({
    grossVolumeM3: expect.closeTo(0.225, 12),
    netVolumeM3: expect.closeTo(0.205, 12),
    wantedFlowM3PerS: expect.closeTo((14.5 * 0.205) / 3600, 12),
  })
  const full = solveBasin(aBasin(undefined, { 'tanks.0.displacement.rockMassKg': 5000 }))
  expect(full.tanks[0]!.netVolumeM3).toBe(0)
  expect(full.returnSide.turnoverPerH).toBeNull()
})
