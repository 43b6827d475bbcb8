import { findingOf, fixed, fixesOf, steadyFixes } from '../found.ts'
import { aBasin, codes, lead, TEST_PUMP } from '../a-basin.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits } from '../../src/design/edit.ts'
import type { FindingCode } from '../../src/finding/codes.ts'
import { say } from '../../src/quantity/sentence.ts'
import { describe, expect, test } from '@jest/globals'

test('a design with nothing wrong says only that it is fine', () => {
  expect(codes(aBasin())).toEqual(['flow-as-wanted'])
})

describe('the tank', () => {
  test.each<[string, FindingCode, Record<string, unknown>]>([
    ['water over the rim', 'water-over-rim', { 'tanks.0.waterLevelM': 0.51 }],
    ['little freeboard', 'little-freeboard', { 'tanks.0.waterLevelM': 0.49 }],
    ['a rim above the panels', 'rim-over-panels', { 'tanks.0.rimM': 0.6 }],
  ])('%s is found and its fix ends it', (_, code, changes) => {
    const design = aBasin(undefined, changes)
    expect(codes(design)).toContain(code)
    expect(codes(fixed(design, code))).not.toContain(code)
  })
  test('rock that fills the tank is a stop without a fix', () => {
    const design = aBasin(undefined, { 'tanks.0.displacement.rockMassKg': 4000 })
    expect(findingOf(design, 'no-net-water')).toMatchObject({ severity: 'stop' })
    expect(fixesOf(design, 'no-net-water')).toEqual([])
  })
})

describe('the flow', () => {
  test('short: the first fix brings what it says', () => {
    const design = aBasin(undefined, { 'returnSide.pumps.0.speed': 0.75 })
    const short = fixesOf(design, 'flow-short')
    const after = solveBasin(fixed(design, 'flow-short'))
    expect(say(short[0]!.brings, 'metric')).toContain(
      say(
        {
          text: '{f}',
          values: { f: ['flow', after.returnSide.flowM3PerS, after.returnSide.flowBandM3PerS] },
        },
        'metric',
      ),
    )
    expect(after.returnSide.flowM3PerS).toBeGreaterThanOrEqual(
      after.tanks[0]!.wantedFlowM3PerS * 0.999,
    )
    expect(after.findings.map((finding) => finding.code)).toContain('flow-as-wanted')
  })
  test('far short is a stop, and every fix offered brings more', () => {
    const design = aBasin('up 1 m, elbow, left 300 mm, gate 20%', {
      'tanks.0.turnoverPerH': 25,
      'returnSide.pumps.0.speed': 0.8,
    })
    const now = solveBasin(design).returnSide.flowM3PerS
    const { severity } = findingOf(design, 'flow-short')
    const fixes = fixesOf(design, 'flow-short')
    expect(severity).toBe('stop')
    expect(fixes.length).toBeGreaterThanOrEqual(1)
    for (const fix of fixes) {
      expect(solveBasin(applyEdits(design, fix.edits)).returnSide.flowM3PerS).toBeGreaterThan(now)
    }
  })
  test('short with a pump of one speed and nothing to open says to choose another', () => {
    const pump = { ...TEST_PUMP, control: 'fixed-speed' as const }
    const design = aBasin('to 3, up 1 m, elbow, left 300 mm', {
      'tanks.0.turnoverPerH': 30,
      pumps: [pump],
    })
    const { otherwise } = steadyFixes(design, findingOf(design, 'flow-short'))
    expect(otherwise?.text).toContain('choose another pump')
  })
  test('past: a controllable pump is slowed to the wanted flow', () => {
    const design = aBasin(undefined, { 'tanks.0.turnoverPerH': 6 })
    const after = solveBasin(fixed(design, 'flow-past'))
    expect(
      Math.abs(after.returnSide.flowM3PerS / after.tanks[0]!.wantedFlowM3PerS - 1),
    ).toBeLessThan(0.05)
  })
  test('past: a pump of one speed is turned down with its valve', () => {
    const pump = { ...TEST_PUMP, control: 'fixed-speed' as const }
    const design = aBasin(undefined, { 'tanks.0.turnoverPerH': 6, pumps: [pump] })
    const after = solveBasin(fixed(design, 'flow-past'))
    expect(
      Math.abs(after.returnSide.flowM3PerS / after.tanks[0]!.wantedFlowM3PerS - 1),
    ).toBeLessThan(0.05)
  })
  test('past: a pump of one speed without a valve gets one, turned to what is wanted', () => {
    const pump = { ...TEST_PUMP, control: 'fixed-speed' as const }
    const design = aBasin('up 1 m, elbow, left 300 mm', {
      'tanks.0.turnoverPerH': 6,
      pumps: [pump],
    })
    const [tank] = solveBasin(fixed(design, 'flow-past')).tanks
    expect(tank!.flowM3PerS / tank!.wantedFlowM3PerS).toBeCloseTo(1, 2)
  })
  test('none at this speed: says the least speed, and the fix makes it flow', () => {
    const design = aBasin(undefined, { 'returnSide.pumps.0.speed': 0.3 })
    expect(codes(design)[0]).toBe('no-flow-at-this-speed')
    expect(solveBasin(fixed(design, 'no-flow-at-this-speed')).returnSide.status).toBe('flows')
  })
  test('a shut valve is found where it is, and opened', () => {
    const design = aBasin('up 1 m, gate shut, elbow, left 300 mm')
    expect(findingOf(design, 'valve-shut')).toMatchObject({ severity: 'stop', pieceId: 'p2' })
    expect(solveBasin(fixed(design, 'valve-shut')).returnSide.status).toBe('flows')
  })
  test('an end under water with a weak pump runs back, unless a check valve stops it', () => {
    const line = 'up 700 mm, elbow, left 300 mm'
    const back = aBasin(line, { 'returnSide.pumps.0.speed': 0.3 })
    expect(codes(back)).toContain('flows-back')
    expect(solveBasin(back).returnSide.flowM3PerS).toBeLessThan(0)
    const held = aBasin(`check, ${line}`, { 'returnSide.pumps.0.speed': 0.3 })
    expect(codes(held)).toContain('no-flow-at-this-speed')
  })
})

describe('the line', () => {
  test('too fast: the fix brings it under the limit', () => {
    const design = aBasin(undefined, {
      'returnSide.lines.0.run.size': { series: 'schedule-40', size: '3/4', boreM: null },
    })
    expect(codes(design)).toContain('water-too-fast')
    const after = solveBasin(fixed(design, 'water-too-fast')).returnSide
    expect(after.flowM3PerS).toBeGreaterThan(solveBasin(design).returnSide.flowM3PerS)
  })
  test('too fast behind a reducer: the reducer is what is changed', () => {
    const design = aBasin('up 500 mm, to 1/2, up 500 mm, elbow, left 300 mm')
    expect(fixesOf(design, 'water-too-fast')[0]!.edits[0]!.path).toContain('to')
  })
  test('an outlet and a line that do not match: the adapter is put in and counted', () => {
    const design = aBasin(undefined, {
      'returnSide.lines.0.run.size': { series: 'schedule-40', size: '2', boreM: null },
    })
    const after = fixed(design, 'outlet-mismatch')
    expect(after.returnSide.lines[0]!.run.pieces[0]).toMatchObject({
      kind: 'reducer',
      to: { size: '2' },
    })
    expect(codes(after)).not.toContain('outlet-mismatch')
    expect(lead(after).fittingsM).toBeGreaterThan(0)
  })
  test('a turn without an elbow gets one; hose needs none; two 45s do', () => {
    const bare = aBasin('up 1 m, left 300 mm')
    expect(codes(bare)).toContain('turn-without-elbow')
    expect(codes(fixed(bare, 'turn-without-elbow'))).not.toContain('turn-without-elbow')
    expect(codes(aBasin('up 1 m, 45, 45, left 300 mm'))).not.toContain('turn-without-elbow')
    expect(codes(aBasin('to smooth hose 25, up 1 m, left 300 mm'))).not.toContain(
      'turn-without-elbow',
    )
    expect(
      fixesOf(aBasin('up 1.2 m, down 200 mm, elbow, left 300 mm'), 'turn-without-elbow')[0]!.edits,
    ).toHaveLength(2)
  })
  test('a nozzle in the middle is moved to the end', () => {
    const design = aBasin('up 1 m, nozzle 20 mm, elbow, left 300 mm')
    expect(codes(fixed(design, 'pieces-after-nozzle'))).not.toContain('pieces-after-nozzle')
  })
  test('past the printed curve is said', () => {
    const short = { ...TEST_PUMP, curve: TEST_PUMP.curve.slice(0, 3) }
    expect(codes(aBasin(undefined, { pumps: [short] }))).toContain('past-known-curve')
  })
})

describe('the end of the run', () => {
  test('outside the tank is a stop; stretching brings it over', () => {
    const design = aBasin('up 1 m, elbow, left 20 mm')
    expect(findingOf(design, 'mouth-outside-tank').severity).toBe('stop')
    expect(lead(fixed(design, 'mouth-outside-tank')).end).toBe('above-water')
  })
  test('outside, with no pipe along the way that could be stretched, has no fix', () => {
    const design = aBasin('up 1 m', { 'returnSide.pumps.0.outlet.xM': 1.4 })
    expect(fixesOf(design, 'mouth-outside-tank')).toEqual([])
  })
  test('under water is watched, the surface counts for the lift, and raising ends it', () => {
    const design = aBasin('up 700 mm, elbow, left 300 mm')
    expect(lead(design).liftM).toBeCloseTo(0.95 - 0.2, 12)
    expect(lead(fixed(design, 'mouth-under-water')).end).toBe('above-water')
  })
})
