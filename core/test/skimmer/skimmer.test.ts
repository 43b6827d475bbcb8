import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { csvTable, L_PER_H, number } from '../tables.ts'
import {
  dryFeedKgPerDay,
  type Feed,
  feedLoadKgPerM3,
  heavier,
  loadClassOf,
} from '../../src/skimmer/load.ts'
import { skimmerFigures, skimmerVerdicts, systemVolumeM3 } from '../../src/skimmer/match.ts'
import { skimmerDepth } from '../../src/skimmer/stand.ts'

const LITRE = 1e-3
const MM = 1e-3
/** 1 L/(h·cm²) as a speed, m/s. */
const L_PER_H_CM2 = L_PER_H / 1e-4

describe('the table of skimmers, to 1e-6', () => {
  test.each(csvTable('skimmer.csv').map((row) => [row.case!, row] as const))('%s', (id, row) => {
    const of = (column: string) => number(row, column)
    const netVolumeM3 = systemVolumeM3({
      displayM3: of('display_L') * LITRE,
      boxM3: of('box_L') * LITRE,
      sumpM3: of('sump_L') * LITRE,
      rockM3: of('rock_kg') / of('rock_density_kg_m3'),
      sandM3: of('sand_kg') / of('sand_grain_density_kg_m3'),
      equipmentM3: of('equipment_L') * LITRE,
    })
    const spec = {
      flowM3PerS: of('skimmer_flow_L_h') * L_PER_H,
      airM3PerS: of('air_L_h') * L_PER_H,
      bodyM3: of('body_volume_L') * LITRE,
      neckBoreM: of('neck_bore_mm') * MM,
    }
    const got = skimmerFigures(spec, 1, {
      throughM3PerS: of('throughflow_L_h') * L_PER_H,
      netVolumeM3,
    })
    const meets = (column: string, value: number) =>
      expectClose(`${id} ${column}`, value, of(column))
    meets('net_volume_L', netVolumeM3 / LITRE)
    meets('share_of_throughflow', got.shareOfThroughflow!)
    meets('system_volumes_per_h', got.systemVolumesPerH!)
    meets('dwell_s', got.dwellS!)
    meets('air_to_water', got.airToWater!)
    meets('air_per_neck_area_L_h_cm2', got.airPerNeckMPerS / L_PER_H_CM2)
  })
})

describe('what is fed', () => {
  const cubes: Feed = { id: 'c', name: 'Cubes', form: 'cube', perDay: 3, massKg: 0.004 }
  const flakes: Feed = { id: 'd', name: 'Flakes', form: 'dry', perDay: 1, massKg: 0.002 }
  test('counts by what is no water in it', () => {
    expect(dryFeedKgPerDay([cubes])).toBeCloseTo(0.0024, 12)
    expect(dryFeedKgPerDay([cubes, flakes])).toBeCloseTo(0.0024 + 0.00184, 12)
  })
  test('is shared with other filtration and spread over the water', () => {
    expect(feedLoadKgPerM3(0.004, 0.25, 0.5)).toBeCloseTo(0.006, 12)
    expect(feedLoadKgPerM3(0.004, 0, 0)).toBeNull()
  })
  test('sets the class, and the heavier of two counts', () => {
    expect([0.004, 0.005, 0.0119, 0.012].map(loadClassOf)).toEqual([
      'light',
      'medium',
      'medium',
      'heavy',
    ])
    expect(heavier('light', 'heavy')).toBe('heavy')
    expect(heavier('medium', 'light')).toBe('medium')
  })
})

describe('the schools', () => {
  const ratedM3 = { light: 1, medium: 0.6, heavy: 0.4 }
  test('read one printed rating differently', () => {
    const { match, oversize } = skimmerVerdicts({ ratedM3 }, 0.55, 'medium', 2)
    expect(match).toMatchObject({ says: 'fits', ratedM3: 0.6, wantedM3: 0.55 })
    expect(oversize).toMatchObject({ says: 'small', ratedM3: 1, wantedM3: 1.1 })
  })
  test('say when it is too large for the water', () => {
    const { match, oversize } = skimmerVerdicts({ ratedM3 }, 0.15, 'medium', 2)
    expect(match.says).toBe('large')
    expect(oversize.says).toBe('large')
  })
})

describe('a slower skimmer', () => {
  test('moves less water and air, and holds its water longer', () => {
    const spec = { flowM3PerS: 2e-4, airM3PerS: 1e-4, bodyM3: 0.004, neckBoreM: 0.08 }
    const water = { throughM3PerS: 0, netVolumeM3: 0.4 }
    const half = skimmerFigures(spec, 0.5, water)
    const whole = skimmerFigures(spec, 1, water)
    expect(half.dwellS).toBeCloseTo(2 * whole.dwellS!, 9)
    expect(half.airToWater).toBeCloseTo(whole.airToWater!, 12)
    expect(half.shareOfThroughflow).toBeNull()
  })
})

describe('the depth', () => {
  const wants = { leastM: 0.2, mostM: 0.24 }
  test.each([
    [0.18, 0, 'shallow', 0],
    [0.22, 0, 'right', 0],
    [0.3, 0, 'deep', 0.08],
    [0.3, 0.08, 'right', 0.08],
  ] as const)('%d m with a stand of %d m is %s', (depthM, standM, says, stand) => {
    const got = skimmerDepth(wants, depthM, standM)
    expect(got.says).toBe(says)
    expect(got.standM).toBeCloseTo(stand, 12)
  })
  test('tells the chamber’s depth that its present stand needs', () => {
    expect(skimmerDepth(wants, 0.3, 0.05).wantedChamberDepthM).toBeCloseTo(0.27, 12)
  })
})
