import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { csvTable, L_PER_H, number } from '../tables.ts'
import {
  dryFeedKgPerDay,
  type Feed,
  feedLoadKgPerM3,
  heavier,
  type LoadClass,
  loadClassOf,
} from '../../src/skimmer/load.ts'
import { skimmerFigures, skimmerVerdicts, systemVolumeM3 } from '../../src/skimmer/match.ts'
import { skimmerDepth } from '../../src/skimmer/stand.ts'

const LITRE = 1e-3
const MM = 1e-3
/** 1 L/(h·cm²) as a speed, m/s. */
const L_PER_H_CM2 = L_PER_H / 1e-4

const ROWS = csvTable('skimmer.csv')

describe('the table of skimmers, to 1e-6', () => {
  test.each(ROWS.map((row) => [row.case!, row] as const))('%s', (id, row) => {
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
  const cubes: Feed = {
    id: 'c',
    name: 'Cubes',
    form: 'cube',
    perDay: 3,
    mostPerDay: 5,
    massKg: 0.004,
  }
  const flakes: Feed = {
    id: 'd',
    name: 'Flakes',
    form: 'dry',
    perDay: 1,
    mostPerDay: null,
    massKg: 0.002,
  }
  test('counts by what is no water in it', () => {
    expect(dryFeedKgPerDay([cubes]).least).toBeCloseTo(0.0024, 12)
    const both = dryFeedKgPerDay([cubes, flakes])
    expect(both.least).toBeCloseTo(0.0024 + 0.00184, 12)
    expect(both.most).toBeCloseTo(0.004 + 0.00184, 12)
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
  const own = { from: 1.5, to: 2 }
  const every = (load: LoadClass) => ({ least: load, most: load })
  test('read one printed rating differently', () => {
    const { match, oversize } = skimmerVerdicts({ ratedM3 }, 0.6, every('medium'), own)
    expect(match).toMatchObject({ says: 'fits', ratedM3: 0.6, wantedM3: 0.6, ratio: 1 })
    expect(oversize).toMatchObject({ says: 'fits', ratedM3: 1, fitsFrom: 1.5, fitsTo: 2 })
    expect(
      skimmerVerdicts({ ratedM3 }, 0.6, every('medium'), { from: 2, to: 3 }).oversize.says,
    ).toBe('small')
  })
  test('say when it is too large for the water', () => {
    const { match, oversize } = skimmerVerdicts({ ratedM3 }, 0.15, every('medium'), own)
    expect(match.says).toBe('large')
    expect(oversize.says).toBe('large')
    expect(skimmerVerdicts({ ratedM3 }, 0, every('medium'), own).match.says).toBe('large')
  })
  test('of two ends of the feeding the worse counts, and is named', () => {
    const fed = { least: 'light', most: 'heavy' } as const
    const at = (netM3: number) => skimmerVerdicts({ ratedM3 }, netM3, fed, own).match
    expect(at(0.75)).toMatchObject({ says: 'small', tipsAt: 'most', ratedM3: 0.4 })
    expect(at(0.4)).toMatchObject({ says: 'large', tipsAt: 'least', ratedM3: 1 })
    expect(at(0.2)).toMatchObject({ says: 'large', tipsAt: 'least' })
    expect(at(0.5)).toMatchObject({ says: 'borderline-small', tipsAt: 'most' })
    const even = { light: 1, medium: 1, heavy: 1 }
    expect(skimmerVerdicts({ ratedM3: even }, 1, fed, own).match.tipsAt).toBeNull()
  })
})

describe('the table’s verdicts', () => {
  const SAYS: Readonly<Record<string, readonly string[]>> = {
    fits: ['fits'],
    borderline: ['borderline-small', 'borderline-large'],
    'too small': ['small'],
    'too large': ['large'],
  }
  test.each(ROWS.map((row) => [row.case!, row] as const))('%s', (_, row) => {
    const of = (column: string) => number(row, column)
    const ratedM3 = of('maker_rating_L') * LITRE
    const { match, oversize } = skimmerVerdicts(
      { ratedM3: { light: ratedM3, medium: ratedM3, heavy: ratedM3 } },
      of('wanted_L') * LITRE,
      { least: 'light', most: 'heavy' },
      { from: of('oversize_from'), to: of('oversize_to') },
    )
    expectClose('ratio', match.ratio!, of('rating_over_wanted'))
    expect(SAYS[row.verdict_match!]).toContain(match.says)
    expect(SAYS[row.verdict_oversize!]).toContain(oversize.says)
  })
  test('has each of them', () => {
    expect(new Set(ROWS.map((row) => row.verdict_match)).size).toBe(4)
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
