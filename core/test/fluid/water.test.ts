import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { cell, csvTable, number } from '../tables.ts'
import { salinityFromConductivityPpt } from '../../src/fluid/conductivity.ts'
import { densityKgPerM3, specificGravity } from '../../src/fluid/density.ts'
import { conductivityMSPerCm, salinityFromSpecificGravityPpt } from '../../src/fluid/salinity.ts'
import { waterAt } from '../../src/fluid/water.ts'

describe('water against the check table', () => {
  test.each(csvTable('fluid.csv').map((row) => [`S ${row.S_ppt} T ${row.T_C}`, row] as const))(
    '%s',
    (name, row) => {
      const reading = { salinityPpt: number(row, 'S_ppt'), temperatureC: number(row, 'T_C') }
      const water = waterAt(reading)
      expectClose(`${name} rho`, water.densityKgPerM3, number(row, 'rho_kg_m3'))
      expectClose(`${name} mu`, water.viscosityPaS, number(row, 'mu_Pa_s'))
      expectClose(`${name} nu`, water.kinematicM2PerS, number(row, 'nu_m2_s'))
      const gravity = specificGravity(reading.salinityPpt, reading.temperatureC)
      expectClose(`${name} SG`, gravity, number(row, 'SG_same_T'))
      const conductivity = cell(row, 'conductivity_mS_cm')
      if (conductivity === null) return
      const computed = conductivityMSPerCm(reading.salinityPpt, reading.temperatureC)
      expectClose(`${name} conductivity`, computed, conductivity)
    },
  )
})

describe('published values', () => {
  test('EOS-80 densities', () => {
    expect(densityKgPerM3(35, 25)).toBeCloseTo(1023.343, 3)
    expect(densityKgPerM3(35, 5)).toBeCloseTo(1027.675, 3)
    expect(densityKgPerM3(0, 5)).toBeCloseTo(999.967, 3)
  })
  test('PSS-78: 42.914 mS/cm at 15 °C is 35 by definition', () => {
    expect(salinityFromConductivityPpt(42.914, 15)).toBeCloseTo(35, 3)
  })
})

describe('salinity the other way round', () => {
  test.each([0, 8, 20, 33.4, 35, 42])('specific gravity of %d ppt reads back', (ppt) => {
    const found = salinityFromSpecificGravityPpt(specificGravity(ppt, 24.5), 24.5)
    expect(found.ok && found.value).toBeCloseTo(ppt, 7)
  })
  test('a specific gravity no sea water has is not bracketed', () => {
    expect(salinityFromSpecificGravityPpt(1.2, 25)).toMatchObject({
      ok: false,
      reason: 'not-bracketed',
    })
  })
  test('below 2 ppt the conductivity scale does not hold', () => {
    expect(conductivityMSPerCm(1, 25)).toBeNaN()
  })
})
