import { describe, expect, test } from '@jest/globals'
import { cementM3, saltFor, siliconeM3 } from '../../src/build-sheet/amounts.ts'
import { cutLength, hoseCutM } from '../../src/fitting/cut-length.ts'
import { nest } from '../../src/build-sheet/nesting.ts'
import { outsideOf, socketDepthM, type TakeOffKind, takeOffOf } from '../../src/fitting/take-off.ts'
import { panelsKg, peopleToLift, totalKg } from '../../src/build-sheet/weight.ts'
import type { PanelMaterial } from '../../src/design/index.ts'
import { waterAt } from '../../src/fluid/index.ts'
import { expectClose } from '../close.ts'
import { jsonTable } from '../tables.ts'

interface RunRow {
  readonly kind: 'run'
  readonly id: string
  readonly size: string
  readonly system: 'metric' | 'inch'
  readonly outside_diameter_mm: number
  readonly socket_depth_mm: number
  readonly pieces: readonly {
    readonly from: string
    readonly to: string
    readonly centre_to_centre_mm: number
    readonly cut_mm: number
    readonly least_mm: number
    readonly verdict: string
    readonly joints: number
  }[]
  readonly result: {
    readonly pipe_to_cut_mm: number
    readonly joints: number
    readonly cement_mL: number
  }
}
interface NestingRow {
  readonly kind: 'nesting'
  readonly id: string
  readonly stock_mm: number
  readonly kerf_mm: number
  readonly cuts_mm: readonly number[]
  readonly result: {
    readonly fewest_stocks: number
    readonly best_fit_decreasing: number
    readonly lower_bound: number
    readonly offcuts_mm: readonly number[]
  }
}
type AnyRow = RunRow | NestingRow | { readonly kind: string; readonly id: string }
const ROWS = jsonTable<AnyRow[]>('build.json')
const ofKind = <T>(kind: string) => ROWS.filter((row) => row.kind === kind) as unknown as T[]

/** Lengths are met to a hundredth of a millimetre. */
const expectMm = (what: string, gotM: number, wantedMm: number) => {
  if (!(Math.abs(gotM * 1000 - wantedMm) <= 0.01))
    throw new Error(`${what}: got ${gotM * 1000} mm, wanted ${wantedMm}`)
}
const words = (verdict: string) => verdict.replaceAll('_', '-')

describe('runs', () => {
  test.each(ofKind<RunRow>('run'))('$id', (row) => {
    const size = {
      series: row.system === 'metric' ? ('pn-16' as const) : ('schedule-40' as const),
      size: row.size.replace('-', ' '),
    }
    expectMm('outside', outsideOf(size), row.outside_diameter_mm)
    expectMm('depth', socketDepthM(size), row.socket_depth_mm)
    const ends = (kind: string) => takeOffOf(words(kind).replace('_', '-') as TakeOffKind, size)
    let joints = 0
    let pipeM = 0
    for (const piece of row.pieces) {
      const from = ends(piece.from)
      const to = ends(piece.to)
      const cut = cutLength(piece.centre_to_centre_mm / 1000, from, to)
      expectMm('cut', cut.cutM, piece.cut_mm)
      expectMm('least', cut.leastM, piece.least_mm)
      expect(cut.verdict).toBe(words(piece.verdict))
      const own = [from, to].filter(({ depthM }) => depthM > 0).length
      expect(own).toBe(piece.joints)
      joints += own
      pipeM += cut.cutM
    }
    expectMm('pipe', pipeM, row.result.pipe_to_cut_mm)
    expect(joints).toBe(row.result.joints)
    const cement = joints * cementM3(outsideOf(size), socketDepthM(size)) * 1e6
    expectClose('cement', cement, row.result.cement_mL)
  })
})

test.each(
  ofKind<{
    readonly id: string
    readonly pieces: readonly Readonly<
      Record<'bore_mm' | 'length_mm' | 'barbs' | 'cut_mm', number>
    >[]
  }>('hose'),
)('hose $id', ({ pieces }) => {
  for (const { bore_mm, length_mm, barbs, cut_mm } of pieces)
    expectMm('hose', hoseCutM(length_mm / 1000, bore_mm / 1000, barbs), cut_mm)
})

test.each(ofKind<NestingRow>('nesting'))('nesting $id', (row) => {
  const cutsM = row.cuts_mm.map((mm) => mm / 1000)
  const nested = nest(cutsM, { stockM: row.stock_mm / 1000, sawCutM: row.kerf_mm / 1000 })
  const { result } = row
  expect([nested.stocks.length, nested.byRule, nested.lowerBound, nested.isFewest]).toEqual([
    result.fewest_stocks,
    result.best_fit_decreasing,
    result.lower_bound,
    true,
  ])
  // One way of several: all cuts once, each stock long enough, what is left as it must be in all.
  expect(nested.stocks.flat().sort((a, b) => a - b)).toEqual(cutsM.map((_, i) => i))
  nested.stocks.forEach((stock, n) => {
    const used = stock.reduce((sum, i) => sum + row.cuts_mm[i]!, 0)
    expect(used + (stock.length - 1) * row.kerf_mm).toBeLessThanOrEqual(row.stock_mm + 1e-9)
    const left = Math.max(0, row.stock_mm - used - stock.length * row.kerf_mm)
    expect(nested.offcutsM[n]! * 1000).toBeCloseTo(left, 6)
  })
})

test.each(
  ofKind<{
    readonly id: string
    readonly litres: number
    readonly S_ppt: number
    readonly T_C: number
    readonly water_bound_share: number
    readonly result: { readonly dissolved_kg: number; readonly to_buy_kg: number }
  }>('salt'),
)('salt $id', ({ litres, S_ppt, T_C, water_bound_share, result }) => {
  const reading = { salinityPpt: S_ppt, temperatureC: T_C }
  const salt = saltFor(litres / 1000, reading, water_bound_share)
  expectClose('dissolved', salt.dissolvedKg, result.dissolved_kg)
  expectClose('to buy', salt.toBuyKg, result.to_buy_kg)
})

test.each(
  ofKind<{
    readonly id: string
    readonly seam_mm: number
    readonly panel_thickness_mm: number
    readonly gap_mm: number
    readonly sides_reached: number
    readonly result: { readonly mL: number }
  }>('silicone'),
)('silicone $id', (row) => {
  const volume = siliconeM3({
    lengthM: row.seam_mm / 1000,
    panelM: row.panel_thickness_mm / 1000,
    gapM: row.gap_mm / 1000,
    sides: row.sides_reached,
  })
  expectClose('silicone', volume * 1e6, row.result.mL)
})

test.each(
  ofKind<{
    readonly id: string
    readonly water_L: number
    readonly S_ppt: number
    readonly T_C: number
    readonly rock_kg: number
    readonly sand_kg: number
    readonly panels: readonly {
      readonly material: PanelMaterial
      readonly area_m2: number
      readonly thickness_mm: number
    }[]
    readonly stand_kg: number
    readonly sump_water_L: number
    readonly sump_empty_kg: number
    readonly feet: number
    readonly result: Readonly<Record<string, number>>
  }>('weight'),
)('weight $id', (row) => {
  const { densityKgPerM3 } = waterAt({ salinityPpt: row.S_ppt, temperatureC: row.T_C })
  const tankKg = panelsKg(
    row.panels.map(({ material, area_m2, thickness_mm }) => ({
      material,
      areaM2: area_m2,
      thicknessM: thickness_mm / 1000,
    })),
  )
  const loads = {
    waterKg: (row.water_L / 1000) * densityKgPerM3,
    rockKg: row.rock_kg,
    sandKg: row.sand_kg,
    tankKg,
    standKg: row.stand_kg,
    sumpKg: row.sump_empty_kg,
    sumpWaterKg: (row.sump_water_L / 1000) * densityKgPerM3,
  }
  expectClose('water', loads.waterKg, row.result.water_kg!)
  expectClose('tank', tankKg, row.result.tank_kg!)
  expectClose('sump water', loads.sumpWaterKg, row.result.sump_water_kg!)
  expectClose('total', totalKg(loads), row.result.total_kg!)
  expectClose('a foot', totalKg(loads) / row.feet, row.result.kg_per_foot!)
  expect(peopleToLift(tankKg)).toBe(row.result.people_to_lift_tank)
})
