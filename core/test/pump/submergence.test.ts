import { fixesOf } from '../found.ts'
import { aBasin, codes, TEST_PUMP } from '../a-basin.ts'
import { expectClose } from '../close.ts'
import { csvTable, jsonTable, L_PER_H, number } from '../tables.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits } from '../../src/design/edit.ts'
import { leastDepthM } from '../../src/pump/submergence.ts'
import { describe, expect, test } from '@jest/globals'

interface Inlet {
  id: string
  kind: string
  bore_m: number
  flow_L_h: number
}
const given = jsonTable<Inlet[] | { cases: Inlet[] }>('drains.json')
const inlets = (Array.isArray(given) ? given : given.cases).filter(
  ({ kind }) => kind === 'least_water_over_inlet',
)
const rows = csvTable('drains.csv')

test.each(inlets)('least water over the inlet against the check table, $id', (inlet) => {
  const row = rows.find((wanted) => wanted.case === inlet.id && wanted.quantity === 'least_water')!
  const got = leastDepthM(inlet.bore_m, inlet.flow_L_h * L_PER_H)
  expectClose(inlet.id, got, number(row, 'value'))
})

describe('a pump’s inlet', () => {
  const at = (heightM: number) => aBasin(undefined, { 'returnSide.pumps.0.inletHeightM': heightM })

  test('without a height says what it wants and finds nothing', () => {
    expect(solveBasin(aBasin()).returnSide.pumps[0]).toMatchObject({ depthM: null })
    expect(codes(aBasin())).not.toContain('pump-draws-air')
  })
  test('too near the surface is watched, above it a stop, and the fix ends it', () => {
    const find = (heightM: number) =>
      solveBasin(at(heightM)).findings.find(({ code }) => code === 'pump-draws-air')
    expect(find(0.15)!.severity).toBe('watch')
    expect(find(0.25)!.severity).toBe('stop')
    expect(
      codes(applyEdits(at(0.15), fixesOf(at(0.15), 'pump-draws-air')[0]!.edits)),
    ).not.toContain('pump-draws-air')
  })
  test('its maker’s figure counts before the formula, its own bore before the outlet’s', () => {
    const of = (change: object) =>
      solveBasin(aBasin(undefined, { pumps: [{ ...TEST_PUMP, ...change }] })).returnSide.pumps[0]!
    expect(of({ leastDepthM: 0.07 }).leastDepthM).toBe(0.07)
    expect(of({ inletBoreM: 0.05 }).leastDepthM).toBeLessThan(of({}).leastDepthM)
  })
})
