import { steadyFixes } from '../found.ts'
import { aBasin, aLine, TEST_PUMP } from '../a-basin.ts'
import { expectClose } from '../close.ts'
import { comparePumps } from '../../src/basin/compare-pumps.ts'
import { dutyCurves, systemCurve } from '../../src/basin/curves.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import type { BasinDesign, ReturnLine } from '../../src/design/design.ts'
import { applyEdits, insertAt, setTo } from '../../src/design/edit.ts'
import { layOut } from '../../src/layout/layout.ts'
import { makeLine } from '../../src/network/line.ts'
import { makeNetwork } from '../../src/network/network.ts'
import { solveNetwork } from '../../src/network/solve-network.ts'
import type { DeviceLossBy } from '../../src/run/piece.ts'
import { describe, expect, test } from '@jest/globals'

/** The plain basin with lines of its own. */
export function withLines(
  main: string,
  others: readonly ReturnLine[],
  more: object = {},
): BasinDesign {
  const design = aBasin(main)
  const [first] = design.returnSide.lines
  return {
    ...design,
    returnSide: { ...design.returnSide, lines: [first!, ...others], ...more },
  }
}
const takeoff = (tee: string, typed = 'ball 50%, left 300 mm, elbow, down 100 mm') =>
  aLine('takeoff', { at: 'tee', id: tee }, typed, { at: 'chamber', id: 'sump' })
const MAIN = 'union, up 300 mm, tee, up 700 mm, elbow, left 300 mm, gate'
const line = (design: BasinDesign, id: string) =>
  solveBasin(design).returnSide.lines.find((solvedLine) => solvedLine.lineId === id)!

describe('branches', () => {
  const design = withLines(MAIN, [takeoff('p3')])
  const { returnSide } = solveBasin(design)
  const [main, branch] = returnSide.lines

  test('what the pump gives is what its lines carry', () => {
    expectClose('sum', main!.flowM3PerS + branch!.flowM3PerS, returnSide.pumps[0]!.flowM3PerS, 1e-9)
    expectClose('start', main!.startFlowM3PerS, returnSide.pumps[0]!.flowM3PerS, 1e-12)
  })
  test('heads balance along each way from the pump', () => {
    for (const solvedLine of returnSide.lines) {
      expectClose(
        solvedLine.lineId,
        solvedLine.liftM + solvedLine.frictionM + solvedLine.fittingsM,
        solvedLine.pump.headM,
        1e-7,
      )
    }
  })
  test('opening one takes from the others', () => {
    const opened = applyEdits(design, [
      setTo(['returnSide', 'lines', 1, 'run', 'pieces', 0, 'opening'], 1),
    ])
    expect(line(opened, 'takeoff').flowM3PerS).toBeGreaterThan(branch!.flowM3PerS)
    expect(line(opened, 'main').flowM3PerS).toBeLessThan(main!.flowM3PerS)
  })
  test('a shut branch carries nothing and leaves the main line as without it', () => {
    const shut = withLines(MAIN, [takeoff('p3', 'ball shut, left 300 mm')])
    expect(line(shut, 'takeoff')).toMatchObject({ status: 'shut', flowM3PerS: 0 })
    const plugged = withLines(MAIN, [])
    expectClose('main', line(shut, 'main').flowM3PerS, line(plugged, 'main').flowM3PerS, 1e-6)
  })
  test('a leg that hardly runs is remarked on, one that runs or stands still is not', () => {
    const remarked = (typed: string) =>
      line(withLines(MAIN, [takeoff('p3', typed)]), 'takeoff').hardlyRuns
    expect(remarked('ball 11%, left 300 mm')).toBe(true)
    expect(remarked('ball, left 300 mm')).toBe(false)
    expect(remarked('ball shut, left 300 mm')).toBe(false)
  })
  test('a capped spare carries nothing', () => {
    const spare = aLine('spare', { at: 'tee', id: 'p3' }, 'left 80 mm', { at: 'cap', id: null })
    const solved = solveBasin(withLines(MAIN, [spare]))
    expect(solved.returnSide.lines[1]).toMatchObject({ status: 'capped', flowM3PerS: 0 })
    expect(solved.findings.map(({ code }) => code)).toContain('spare-without-valve')
  })
  test('devices cost what their K, coefficient or table says', () => {
    const withDevice = (by: DeviceLossBy) =>
      line(
        applyEdits(design, [
          insertAt(['returnSide', 'lines', 1, 'run', 'pieces'], 1, {
            id: 'd',
            kind: 'device',
            use: 'reactor',
            name: 'R',
            k: 40,
            kvM3PerH: 2,
            table: [{ flowM3PerS: 2e-4, headM: 0.5 }],
            by,
          }),
        ]),
        'takeoff',
      )
    for (const by of ['k', 'kv', 'table'] as const) {
      const solved = withDevice(by)
      expect(solved.flowM3PerS).toBeLessThan(branch!.flowM3PerS)
      expectClose(by, solved.liftM + solved.frictionM + solved.fittingsM, solved.pump.headM, 1e-7)
      expect(solved.pieces[1]!.lossM).toBeGreaterThan(0)
    }
  })
})

describe('several pumps and tanks', () => {
  const second = {
    id: 'pump2',
    pumpId: TEST_PUMP.id,
    speed: 1,
    stopped: false,
    chamberId: 'sump',
    outlet: { xM: 0.6, yM: 0.25, zM: 0.1 },
  }
  const joining = aLine(
    'second',
    { at: 'pump', id: 'pump2' },
    'check, up 300 mm, elbow, right 200 mm',
    { at: 'tee', id: 'p3' },
  )
  const parallel = (stopped: boolean, typed?: ReturnLine) =>
    withLines(MAIN, [typed ?? joining], {
      pumps: [...aBasin().returnSide.pumps, { ...second, stopped }],
    })

  test('two in parallel give more than one, and less than twice as much', () => {
    const both = solveBasin(parallel(false)).returnSide
    const one = solveBasin(withLines(MAIN, [])).returnSide
    expect(both.flowM3PerS).toBeGreaterThan(one.flowM3PerS)
    expect(both.flowM3PerS).toBeLessThan(2 * one.flowM3PerS)
    expect(both.wirePowerW).toBeGreaterThan(one.wirePowerW)
  })
  test('a stopped one behind a check valve passes nothing; without it water runs back through', () => {
    expect(line(parallel(true), 'second').flowM3PerS).toBe(0)
    const open = aLine('second', { at: 'pump', id: 'pump2' }, 'up 300 mm, elbow, right 200 mm', {
      at: 'tee',
      id: 'p3',
    })
    const back = solveBasin(parallel(true, open)).returnSide
    expect(back.lines[1]!.flowM3PerS).toBeLessThan(0)
    expect(back.pumps[1]!.headM).toBeGreaterThan(0)
    expect(back.flowM3PerS).toBeLessThan(solveBasin(parallel(true)).returnSide.flowM3PerS)
  })
  test('each tank gets what its lines bring, and one without a line is a stop', () => {
    const design = withLines(MAIN, [
      aLine('east', { at: 'tee', id: 'p3' }, 'right 600 mm, elbow, up 800 mm', {
        at: 'tank',
        id: 'east',
      }),
    ])
    const east = { ...design.tanks[0]!, id: 'east', name: 'East', xM: 1.2 }
    const two = { ...design, tanks: [...design.tanks, east] }
    const { tanks, returnSide } = solveBasin(two)
    expectClose('sum', tanks[0]!.flowM3PerS + tanks[1]!.flowM3PerS, returnSide.flowM3PerS, 1e-12)
    const unfed = { ...aBasin(), tanks: [...design.tanks, east] }
    expect(solveBasin(unfed).findings[0]).toMatchObject({ code: 'tank-unfed', tankId: 'east' })
  })
  test('a tank that gets too much is throttled before its pump is slowed for all', () => {
    const design = withLines('union, up 300 mm, tee, up 700 mm, to 3/4, gate, elbow, left 300 mm', [
      aLine('east', { at: 'tee', id: 'p3' }, 'right 600 mm, elbow, up 800 mm', {
        at: 'tank',
        id: 'east',
      }),
    ])
    const [west] = design.tanks
    const tanks = [
      { ...west!, turnoverPerH: 3 },
      { ...west!, id: 'east', name: 'East', xM: 1.2 },
    ]
    const two = { ...design, tanks }
    const past = solveBasin(two).findings.find(
      ({ code, tankId }) => code === 'flow-past' && tankId === 'tank',
    )!
    const after = solveBasin(applyEdits(two, steadyFixes(two, past).fixes[0]!.edits)).tanks
    expect(after[0]!.flowM3PerS).toBeLessThan(solveBasin(two).tanks[0]!.flowM3PerS)
    expect(after[1]!.flowM3PerS).toBeGreaterThan(solveBasin(two).tanks[1]!.flowM3PerS)
  })
  test('a ring is solved: a line may leave one tee and join another', () => {
    const ring = withLines('union, up 300 mm, tee, up 300 mm, tee, up 400 mm, elbow, left 300 mm', [
      aLine('ring', { at: 'tee', id: 'p3' }, 'left 200 mm, elbow, up 300 mm, elbow, right 200 mm', {
        at: 'tee',
        id: 'p5',
      }),
    ])
    const [main, other] = solveBasin(ring).returnSide.lines
    expect(other!.flowM3PerS).toBeGreaterThan(0)
    expect(other!.flowM3PerS).toBeLessThan(main!.flowM3PerS)
  })
  test('a pump that splits at once: both ways turn', () => {
    const split = withLines('tee split, up 1 m, elbow, left 300 mm', [
      aLine('other', { at: 'tee', id: 'p1' }, 'up 1 m, elbow, left 300 mm', {
        at: 'tank',
        id: 'tank',
      }),
    ])
    const [one, other] = solveBasin(split).returnSide.lines
    expectClose('alike', one!.flowM3PerS, other!.flowM3PerS, 1e-6)
  })
  test('a line that leads back to no pump is misuse', () => {
    expect(() => solveBasin(withLines(MAIN, [takeoff('nowhere')]))).toThrow(/no pump/)
  })
})

describe('what cannot be solved', () => {
  test('names the link furthest from its balance', () => {
    const layout = layOut(aBasin())
    const [link] = layout.problem.links
    const endless = { ...link!.pump!.curve, headAtFullSpeedM: () => 5, slopeAtFullSpeed: () => 0 }
    const outcome = solveNetwork(
      makeNetwork({
        ...layout.problem,
        links: [{ ...link!, line: makeLine([], []), pump: { ...link!.pump!, curve: endless } }],
      }),
    )
    expect(outcome).toMatchObject({ ok: false, linkId: 'main' })
  })
})

describe('curves', () => {
  test('the system’s curve passes the duty point, and bends where a takeoff begins to drink', () => {
    const design = withLines(MAIN, [takeoff('p3')])
    const layout = layOut(design)
    const { flowM3PerS, headM } = solveBasin(design).returnSide.pumps[0]!
    const points = systemCurve(layout, layout.pumps[0]!, 200)
    const after = points.findIndex((point) => point.flowM3PerS >= flowM3PerS)
    const [a, b] = [points[after - 1]!, points[after]!]
    const share = (flowM3PerS - a.flowM3PerS) / (b.flowM3PerS - a.flowM3PerS)
    expect(a.headM + share * (b.headM - a.headM)).toBeCloseTo(headM, 2)
    expect(points.every((point, i) => i === 0 || point.headM >= points[i - 1]!.headM)).toBe(true)
    expect(dutyCurves(design, 'takeoff').pump.length).toBeGreaterThan(10)
  })
  test('compared pumps run as they would if they were chosen', () => {
    const design = aBasin()
    const { pumps } = comparePumps(design, 'pump', [
      { part: TEST_PUMP, speed: 1 },
      { part: { ...TEST_PUMP, id: 'slow' }, speed: 0.8 },
    ])
    expectClose('same', pumps[0]!.intoTanksM3PerS, solveBasin(design).returnSide.flowM3PerS)
    expect(pumps[1]!.intoTanksM3PerS).toBeLessThan(pumps[0]!.intoTanksM3PerS)
    expect(pumps[0]!.family.map(({ speed }) => speed)).toEqual([1, 0.85, 0.7, 0.55, 0.4])
  })
  test('a tariff makes a year’s cost', () => {
    const design = { ...aBasin(), tariff: { pricePerKWh: 0.5, currency: 'c' } }
    const { costPerYear, energyPerYearJ } = solveBasin(design).returnSide
    expectClose('cost', costPerYear!, (energyPerYearJ / 3.6e6) * 0.5)
    expect(solveBasin(aBasin()).returnSide.costPerYear).toBeNull()
  })
})
