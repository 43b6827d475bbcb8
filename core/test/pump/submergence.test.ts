import { fixesOf } from '../found.ts'
import { aBasin, codes, TEST_PUMP } from '../a-basin.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits } from '../../src/design/edit.ts'
import { describe, expect, test } from '@jest/globals'

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
