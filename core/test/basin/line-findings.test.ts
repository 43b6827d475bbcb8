import { findingOf, fixed, fixesOf } from '../found.ts'
import { aBasin, aLine, codes, lead, TEST_PUMP } from '../a-basin.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, insertAt, setTo } from '../../src/design/edit.ts'
import { say } from '../../src/quantity/sentence.ts'
import { describe, expect, test } from '@jest/globals'

const END = ['returnSide', 'lines', 0, 'end'] as const

describe('a line and its place', () => {
  const place = { xM: 0.73, yM: 0.25, zM: 1.1 }
  const short = applyEdits(aBasin('union, up 1 m, elbow, left 215 mm, gate'), [
    setTo([...END, 'place'], place),
  ])
  test('85 mm short is said, and the right piece is stretched', () => {
    expect(say(findingOf(short, 'misses-its-place').title, 'metric')).toContain('85')
    const after = fixed(short, 'misses-its-place')
    expect(codes(after)).not.toContain('misses-its-place')
    expect(after.returnSide.lines[0]!.run.pieces[3]).toMatchObject({
      lengthM: expect.closeTo(0.3, 9),
    })
  })
  test('off along an axis without pipe there is no fix, unless hose leads there', () => {
    const off = applyEdits(short, [setTo([...END, 'place', 'yM'], 0.4)])
    expect(fixesOf(off, 'misses-its-place')).toEqual([])
    const hose = applyEdits(
      aBasin('union, up 500 mm, to smooth hose 32, hose 900 mm left 300 mm up 500 mm'),
      [setTo([...END, 'place'], { ...place, yM: 0.4 })],
    )
    expect(codes(fixed(hose, 'misses-its-place'))).not.toContain('misses-its-place')
  })
  test('a line that joins a tee must reach it', () => {
    const base = aBasin('union, up 300 mm, tee, up 700 mm, elbow, left 300 mm')
    const pump2 = {
      ...base.returnSide.pumps[0]!,
      id: 'two',
      outlet: { xM: 0.5, yM: 0.25, zM: 0.1 },
    }
    const join = aLine('join', { at: 'pump', id: 'two' }, 'union, up 300 mm, elbow, right 250 mm', {
      at: 'tee',
      id: 'p3',
    })
    const design = {
      ...base,
      returnSide: {
        ...base.returnSide,
        pumps: [...base.returnSide.pumps, pump2],
        lines: [...base.returnSide.lines, join],
      },
    }
    expect(findingOf(design, 'misses-its-place').lineId).toBe('join')
    expect(codes(fixed(design, 'misses-its-place'))).not.toContain('misses-its-place')
  })
})

describe('hose', () => {
  test('too short for its way is a stop, and the fix cuts it long enough', () => {
    const design = aBasin('union, up 500 mm, to smooth hose 32, hose 400 mm left 300 mm up 500 mm')
    expect(findingOf(design, 'hose-too-short').severity).toBe('stop')
    expect(codes(fixed(design, 'hose-too-short'))).not.toContain('hose-too-short')
  })
  test('in place of three hard elbows brings more, smooth more than ribbed', () => {
    const design = aBasin(
      'union, up 600 mm, elbow, back 100 mm, elbow, up 200 mm, elbow, left 100 mm, elbow, up 300 mm, elbow, left 200 mm',
      // So low that the hose passes over its rim.
      { 'tanks.0.floorHeightM': 0.1 },
    )
    const fixes = fixesOf(design, 'hard-elbows-in-a-row')
    const flows = fixes.map((fix) => lead(applyEdits(design, fix.edits)).flowM3PerS)
    expect(flows[0]!).toBeGreaterThan(lead(design).flowM3PerS)
    if (flows.length > 1) expect(flows[0]!).toBeGreaterThan(flows[1]!)
    const after = applyEdits(design, fixes[0]!.edits)
    expect(codes(after)).not.toContain('hard-elbows-in-a-row')
    expect(lead(after).mouth.xM).toBeCloseTo(lead(design).mouth.xM, 9)
  })
})

describe('what keeps the floor dry', () => {
  const under = 'union, up 700 mm, elbow, left 300 mm'
  test('a check valve as the only guard is watched, and a break hole ends it', () => {
    const design = aBasin(`check, ${under}`)
    expect(findingOf(design, 'check-valve-only-guard').severity).toBe('watch')
    const after = fixed(design, 'check-valve-only-guard')
    expect(after.returnSide.lines[0]!.end.breakDepthM).toBeGreaterThan(0)
    expect(codes(after)).not.toContain('check-valve-only-guard')
  })
  test('an end under water with a break hole is only said', () => {
    const design = applyEdits(aBasin(under), [setTo([...END, 'breakDepthM'], 0.02)])
    expect(findingOf(design, 'mouth-under-water').severity).toBe('fine')
  })
  test('a spare without a valve gets one', () => {
    const base = aBasin('union, up 300 mm, tee, up 700 mm, elbow, left 300 mm')
    const spare = aLine('spare', { at: 'tee', id: 'p3' }, 'left 80 mm', { at: 'cap', id: null })
    const design = applyEdits(base, [insertAt(['returnSide', 'lines'], 1, spare)])
    expect(codes(fixed(design, 'spare-without-valve'))).not.toContain('spare-without-valve')
  })
})

describe('the pump', () => {
  test('that only just reaches it has no reserve for fouling', () => {
    const design = aBasin(undefined, { 'tanks.0.turnoverPerH': 17.5 })
    expect(codes(design)).toContain('no-fouling-reserve')
    expect(codes(aBasin())).not.toContain('no-fouling-reserve')
  })
  test('throttled by a valve is advised to turn down instead, for less power', () => {
    const design = aBasin('union, up 1 m, to 3/4, elbow, left 300 mm, gate 30%', {
      'tanks.0.turnoverPerH': 6,
    })
    const after = fixed(design, 'valve-does-pumps-work')
    const [before, now] = [solveBasin(design).returnSide, solveBasin(after).returnSide]
    expect(now.wirePowerW).toBeLessThan(before.wirePowerW)
    expect(now.flowM3PerS).toBeGreaterThanOrEqual(
      0.98 * Math.min(before.flowM3PerS, solveBasin(design).tanks[0]!.wantedFlowM3PerS),
    )
  })
  test('without a union beside it gets one; on hose it needs none', () => {
    const design = aBasin('up 1 m, elbow, left 300 mm, union')
    expect(codes(fixed(design, 'no-union-at-pump'))).not.toContain('no-union-at-pump')
    const hose = aBasin('up 1 m, left 300 mm', {
      'returnSide.lines.0.run.size': { series: 'smooth-hose', size: '32', boreM: null },
    })
    expect(codes(hose)).not.toContain('no-union-at-pump')
  })
  test('switched off is said so', () => {
    const design = aBasin(undefined, { 'returnSide.pumps.0.stopped': true })
    expect(say(findingOf(design, 'no-flow-at-this-speed').reason, 'metric')).toContain(
      'switched off',
    )
  })
})

describe('takeoffs', () => {
  const base = aBasin('union, up 300 mm, tee, up 700 mm, elbow, left 300 mm, gate')
  const size = { series: 'schedule-40', size: '1/2', boreM: null } as const
  const with_ = (typed: string, wanted: number | null, own = base.returnSide.lines[0]!.run.size) =>
    applyEdits(base, [
      insertAt(['returnSide', 'lines'], 1, {
        ...aLine(
          'takeoff',
          { at: 'tee', id: 'p3' },
          { typed, size: own },
          { at: 'chamber', id: 'sump' },
        ),
        wantedFlowM3PerS: wanted,
      }),
    ])
  test('that get too much are throttled to what they want', () => {
    const design = with_('to 1/2, gate, left 300 mm', 2e-4)
    const after = fixed(design, 'takeoff-off-target')
    const flow = solveBasin(after).returnSide.lines[1]!.flowM3PerS
    expect(Math.abs(flow / 2e-4 - 1)).toBeLessThan(0.1)
  })
  test('that get too little are offered what brings more', () => {
    const design = with_('to 1/2, gate 30%, left 300 mm', 4e-4)
    const now = solveBasin(design).returnSide.lines[1]!.flowM3PerS
    const after = fixed(design, 'takeoff-off-target')
    expect(solveBasin(after).returnSide.lines[1]!.flowM3PerS).toBeGreaterThan(now)
  })
  test('that want nothing in particular are left alone', () => {
    expect(codes(with_('to 1/2, gate 30%, left 300 mm', null))).not.toContain('takeoff-off-target')
  })
  test('of another size than their tee get a reducer, hose a barb', () => {
    const design = with_('ball, left 300 mm', null, size)
    const after = fixed(design, 'sizes-do-not-meet')
    expect(after.returnSide.lines[1]!.run.pieces[0]).toMatchObject({ kind: 'reducer' })
    expect(codes(after)).not.toContain('sizes-do-not-meet')
    const hose = with_('ball, left 300 mm', null, {
      series: 'smooth-hose',
      size: '13',
      boreM: null,
    })
    expect(say(fixesOf(hose, 'sizes-do-not-meet')[0]!.label, 'metric')).toContain('barbed')
  })
  test('may run faster in the cabinet than a line to the tank', () => {
    expect(TEST_PUMP.id).toBe('test-pump')
    const fast = with_('to 1/2, ball, left 100 mm', null)
    const found = solveBasin(fast).findings.find(
      ({ code, lineId }) => code === 'water-too-fast' && lineId === 'takeoff',
    )
    expect(found && say(found.reason, 'metric')).toContain('cabinet')
  })
})
