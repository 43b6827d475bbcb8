import { describe, expect, test } from '@jest/globals'
import { expectClose } from '../close.ts'
import { cell, csvTable, L_PER_H, number, type Row } from '../tables.ts'
import {
  ageing,
  chamberVolumeM3,
  doseJPerM2,
  flowForDose,
  meanIrradianceWPerM2,
  residenceS,
} from '../../src/uv/dose.ts'
import { halfLifeS, killPerPass, removalPerS } from '../../src/uv/kill.ts'
import type { LampState, SterilizerSpec } from '../../src/uv/part.ts'
import { type LampPath, slowestRemovalPerS } from '../../src/uv/two-volumes.ts'
import { QUOTED_TARGETS } from '../../src/uv/targets.ts'

const ROWS = csvTable('uv.csv')
const MM = 1e-3
const HOUR_S = 3600
const MJ_PER_CM2 = 10

const given = (row: Row, column: string) => cell(row, column) ?? 1

function specOf(row: Row): SterilizerSpec {
  return {
    by: row.model === 'maker' ? 'maker' : 'lamp',
    ratedDoseJPerM2: given(row, 'rated_dose_mJ_cm2') * MJ_PER_CM2,
    ratedFlowM3PerS: given(row, 'rated_flow_L_h') * L_PER_H,
    uvcPowerW: given(row, 'uvc_power_W'),
    arcLengthM: given(row, 'arc_length_mm') * MM,
    sleeveDiameterM: given(row, 'sleeve_outside_diameter_mm') * MM,
    chamberBoreM: given(row, 'chamber_bore_mm') * MM,
    transmittancePerCm: given(row, 'transmittance_per_cm'),
    mixingFactor: given(row, 'mixing_factor'),
    ratedHoursS: number(row, 'rated_hours') * HOUR_S,
    pullOutM: 0.5,
    portBoreM: 0.02,
  }
}

const lampOf = (row: Row): LampState => ({
  burnedS: number(row, 'lamp_hours') * HOUR_S,
  waterFactor: given(row, 'transmittance_factor'),
  sleeveFactor: number(row, 'fouling_factor'),
})

describe('the table of sterilizers, to 1e-6', () => {
  test.each(ROWS.map((row) => [row.case!, row] as const))('%s', (id, row) => {
    const spec = specOf(row)
    const flow = number(row, 'flow_L_h') * L_PER_H
    const meets = (column: string, got: number) => {
      const wanted = cell(row, column)
      if (wanted !== null) expectClose(`${id} ${column}`, got, wanted)
    }
    const dose = doseJPerM2(spec, lampOf(row), flow)
    const kill = killPerPass(dose, number(row, 'target_mJ_cm2') * MJ_PER_CM2)
    const removal = removalPerS(flow, number(row, 'system_volume_L') / 1000, kill)
    meets('ageing_factor', ageing(lampOf(row).burnedS, spec.ratedHoursS))
    meets('dose_mJ_cm2', dose / MJ_PER_CM2)
    meets('kill_per_pass', kill)
    meets('removal_rate_per_h', removal * HOUR_S)
    meets('half_life_well_mixed_h', halfLifeS(removal) / HOUR_S)
    const volumes = {
      displayM3: number(row, 'V1_display_L') / 1000,
      sumpM3: number(row, 'V2_sump_L') / 1000,
      overflowM3PerS: number(row, 'Qr_L_h') * L_PER_H,
    }
    const path = row.path!.replaceAll('_', '-') as LampPath
    const lambda = slowestRemovalPerS(volumes, path, flow * kill)
    meets('lambda_per_h', lambda * HOUR_S)
    meets('half_life_h', halfLifeS(lambda) / HOUR_S)
    meets('mean_irradiance_W_m2', meanIrradianceWPerM2(spec))
    meets('chamber_volume_L', chamberVolumeM3(spec) * 1000)
    meets('residence_s', residenceS(spec, flow))
  })
  test('has rows of both models', () => {
    expect(new Set(ROWS.map(({ model }) => model)).size).toBe(2)
  })
})

describe('the dose', () => {
  const lamp: LampState = { burnedS: 3e6, waterFactor: 0.9, sleeveFactor: 0.8 }
  const row = ROWS.find(({ model }) => model !== 'maker')!
  test('at the flow for a dose is that dose', () => {
    for (const spec of [specOf(row), specOf(ROWS[0]!)]) {
      expect(doseJPerM2(spec, lamp, flowForDose(spec, lamp, 350))).toBeCloseTo(350, 9)
    }
  })
  test('of water that swallows no light is the limit of water that swallows little', () => {
    const clear = meanIrradianceWPerM2({ ...specOf(row), transmittancePerCm: 1 })
    const nearly = meanIrradianceWPerM2({ ...specOf(row), transmittancePerCm: 1 - 1e-9 })
    expect(Math.abs(nearly / clear - 1)).toBeLessThan(1e-8)
  })
  test('of a lamp that has burned out is zero, and of standing water without end', () => {
    expect(ageing(1e12, 9000 * HOUR_S)).toBe(0)
    expect(doseJPerM2(specOf(ROWS[0]!), lamp, 0)).toBe(Infinity)
  })
})

describe('the tank', () => {
  test('is cleared by a kill that a quoted target gives three tenfold cuts of', () => {
    expect(killPerPass(300, 300)).toBeCloseTo(0.999, 12)
    expect(killPerPass(Infinity, 300)).toBe(1)
  })
  test('is cleared of nothing without flow', () => {
    expect(removalPerS(0, 1, 1)).toBe(0)
    expect(halfLifeS(0)).toBe(Infinity)
  })
  test('every quoted target has its range the right way round and a source', () => {
    for (const { leastJPerM2, mostJPerM2, source } of QUOTED_TARGETS) {
      expect(leastJPerM2).toBeLessThanOrEqual(mostJPerM2)
      expect(source).toMatch(/quoted/)
    }
  })
})
