import type { CheckFitting } from '../check-fitting.ts'
import { type CheckLine, checkLine } from '../check-line.ts'
import { csvTable, jsonTable } from '../tables.ts'
import { type Fall, makeFall } from '../../src/drain/fall.ts'
import { waterAt } from '../../src/fluid/water.ts'

export interface CheckDrain {
  id: string
  kind: string
  comment: string
  S_ppt: number
  T_C: number
  drop_m?: number
  inlet_to_discharge_drop_m?: number
  end?: string
  line?: CheckLine
  valve?: CheckFitting
  flow_L_h?: number
  bore_m?: number
  bores_m?: Record<string, number>
  inlet_bore_m?: number
  outlet_bore_m?: number
  tubes?: number
  tube_bore_m?: number
  difference_m?: number
  slope?: number
  least_bore_m?: number
  first_upright_bore_m?: number
  level_over_inlet_m?: number
  end_under_water_m?: number
  inlet_to_rim_m?: number
  stretch_rises?: boolean
}

export const CHECK_DRAINS = jsonTable<CheckDrain[]>('drains.json')
const WANTED = csvTable('drains.csv')

/** A wanted figure of a case; fails when the table has none. */
export function wanted(id: string, quantity: string): string {
  const row = WANTED.find((known) => known.case === id && known.quantity === quantity)
  if (!row) throw new Error(`the table has no ${quantity} of ${id}`)
  return row.value!
}

export function has(id: string, quantity: string): boolean {
  return WANTED.some((known) => known.case === id && known.quantity === quantity)
}

export function checkWater({ S_ppt, T_C }: CheckDrain) {
  return waterAt({ salinityPpt: S_ppt, temperatureC: T_C })
}

/** A table's line, with further fittings, as a full pipe. */
export function checkFall(given: CheckDrain, more: readonly CheckFitting[] = []): Fall {
  return makeFall(checkLine(given.line!, more), [], false, checkWater(given))
}
