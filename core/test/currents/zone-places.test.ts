import { expect, test } from '@jest/globals'
import { aDomain, aRock } from './a-domain.ts'
import { zonePlaces } from '../../src/currents/zone-places.ts'
import type { RockSolid } from '../../src/scene/rock.ts'

const areaM2 = (rocks: readonly RockSolid[], zone: RockSolid['zone']) =>
  zonePlaces(aDomain([], { rocks }), zone).reduce((sum, place) => sum + place.areaM2, 0)

/** Free of the floor, so that all of it is bare. */
const BOULDER = aRock({
  form: 'boulder',
  xM: 0.3,
  yM: 0.1,
  zM: 0.1,
  lengthM: 0.2,
  widthM: 0.2,
  heightM: 0.2,
})

test('a boulder is as large as its ellipsoid: the sphere exactly, the stretched one by Knud Thomsen’s formula', () => {
  expect(areaM2([BOULDER], 'soft')).toBeCloseTo(Math.PI * 0.2 ** 2, 4)
  const [a, b, c] = [0.15, 0.08, 0.05]
  const p = 1.6075
  const mean = ((a * b) ** p + (a * c) ** p + (b * c) ** p) / 3
  const long = { ...BOULDER, lengthM: 2 * a, widthM: 2 * b, heightM: 2 * c }
  const thomsen = 4 * Math.PI * mean ** (1 / p)
  expect(Math.abs(areaM2([long], 'soft') / thomsen - 1)).toBeLessThan(0.015)
})

test('a box that stands in the sand is bare but for its foot', () => {
  // 0.3 × 0.2 on the floor, 0.15 high, of which 0.04 stand in the sand
  expect(areaM2([aRock()], 'soft')).toBeCloseTo(0.3 * 0.2 + 2 * (0.3 + 0.2) * 0.11, 1.8)
})

test('the sand is bare where no rock stands on it', () => {
  expect(areaM2([], 'sand')).toBeCloseTo(0.9 * 0.4, 9)
  expect(areaM2([aRock()], 'sand')).toBeCloseTo(0.9 * 0.4 - 0.3 * 0.2, 2)
  expect(zonePlaces(aDomain([], { sandDepthM: 0 }), 'sand')).toEqual([])
})

test('what a second rock covers is no face of the first', () => {
  const other = aRock({ id: 'other', form: 'boulder', xM: 0.25, yM: 0.1, zM: 0.1, zone: 'quiet' })
  expect(areaM2([BOULDER, other], 'soft')).toBeLessThan(areaM2([BOULDER], 'soft'))
  expect(areaM2([BOULDER, other], 'quiet')).toBeGreaterThan(0)
})

test('each is looked at 3 cm off, in a gap less far, always in the water', () => {
  const beside = aRock({ id: 'beside', xM: 0.66, zone: 'quiet' })
  const domain = aDomain([], { rocks: [aRock(), beside] })
  const ends = zonePlaces(domain, 'soft').filter(({ at }) => at.x > 0.65)
  expect(ends.length).toBeGreaterThan(50)
  for (const { at } of ends) expect(at.x).toBeLessThan(0.66)
  for (const { at } of zonePlaces(domain, 'sand')) expect(at.z).toBeCloseTo(0.07, 9)
})
