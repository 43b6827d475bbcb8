import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { aLoop } from '../a-loop.ts'
import { type Changes, withChanges } from '../changes.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import type { BasinDesign } from '../../src/design/design.ts'
import { steadyState } from '../../src/loop/index.ts'

/** What every keeper knows must be so, held for many designs: more of this gives less of that. */

const flow = (design: BasinDesign) => solveBasin(design).returnSide.flowM3PerS
const line = (design: BasinDesign) => solveBasin(design).returnSide.lines[0]!

/** Designs with one thing growing from step to step. */
const growing = (base: BasinDesign, path: string, values: readonly unknown[]) =>
  values.map((value) => withChanges(base, { [path]: value } satisfies Changes))

const falls = (values: readonly number[]) => {
  for (let i = 1; i < values.length; i++) expect(values[i]).toBeLessThan(values[i - 1]!)
}
const rises = (values: readonly number[]) => falls(values.map((value) => -value))

const PLAIN = aBasin()
const run = (typed: string) => aBasin(typed)

describe('the flow falls', () => {
  test('with the height it is lifted to', () => {
    falls([0.6, 0.9, 1.2, 1.5].map((upM) => flow(run(`up ${upM} m, elbow, left 300 mm, gate`))))
  })
  test('with the length of the pipe', () => {
    falls([0.3, 1, 3, 9].map((leftM) => flow(run(`up 1 m, elbow, left ${leftM} m, gate`))))
  })
  test('with each bend', () => {
    falls([1, 2, 4, 8].map((many) => flow(run(`up 1 m, ${'elbow, '.repeat(many)}left 300 mm`))))
  })
  test('with a valve that is turned', () => {
    falls(
      [100, 60, 40, 25, 15].map((open) => flow(run(`up 1 m, elbow, left 300 mm, gate ${open}%`))),
    )
  })
  test('with the roughness of old pipe', () => {
    falls(growing(PLAIN, 'returnSide.lines.0.run.roughnessM', [1e-6, 3e-5, 1e-4, 4e-4]).map(flow))
  })
  test('with the speed of the pump', () => {
    falls(growing(PLAIN, 'returnSide.pumps.0.speed', [1, 0.9, 0.8, 0.7]).map(flow))
  })
  test('with a narrower nozzle', () => {
    falls([26, 20, 16, 12].map((mm) => flow(run(`up 1 m, elbow, left 300 mm, nozzle ${mm} mm`))))
  })
  test('with cold water, which is thicker', () => {
    falls(growing(PLAIN, 'water.temperatureC', [30, 25, 20, 15]).map(flow))
  })
})

describe('the flow rises', () => {
  test('with the bore of the pipe', () => {
    rises(
      growing(PLAIN, 'returnSide.lines.0.run.size.boreM', [0.016, 0.02, 0.026, 0.035]).map(flow),
    )
  })
  test('with the water it draws from, until that is as high as it pours', () => {
    rises(growing(PLAIN, 'sump.chambers.0.levelM', [0.1, 0.2, 0.3, 0.4]).map(flow))
  })
})

describe('what it costs', () => {
  test('power falls with the cube of a controlled speed, as near as the curve lets it', () => {
    const watts = growing(PLAIN, 'returnSide.pumps.0.speed', [1, 0.8]).map(
      (design) => solveBasin(design).returnSide.wirePowerW,
    )
    expect(watts[1]! / watts[0]!).toBeGreaterThan(0.8 ** 3 * 0.7)
    expect(watts[1]! / watts[0]!).toBeLessThan(0.8 ** 2)
  })
  test('a year’s cost is its energy times its price', () => {
    const { returnSide } = solveBasin(
      withChanges(PLAIN, { tariff: { pricePerKWh: 0.4, currency: 'EUR' } }),
    )
    expect(returnSide.costPerYear ?? 0).toBeCloseTo(
      (returnSide.wirePowerW / 1000) * 24 * 365.25 * 0.4,
      0,
    )
  })
})

describe('what goes in comes out', () => {
  const TEED = 'union, up 300 mm, tee, up 700 mm, elbow, left 300 mm'
  test('of a solved line: the heads of its pieces add up to what the pump gives', () => {
    for (const design of [
      PLAIN,
      run('up 1.2 m, sweep, left 1 m, gate 50%, nozzle 18 mm'),
      aLoop(),
    ]) {
      const { pump, frictionM, fittingsM, liftM } = line(design)
      expect(liftM + frictionM + fittingsM).toBeCloseTo(pump.headM, 6)
    }
  })
  test('of a tank: what its lines bring is what it is given', () => {
    for (const design of [PLAIN, run(TEED), aLoop()]) {
      const { tanks, returnSide } = solveBasin(design)
      const brought = returnSide.lines
        .filter((_, i) => design.returnSide.lines[i]!.end.at === 'tank')
        .reduce((sum, { flowM3PerS }) => sum + flowM3PerS, 0)
      expect(tanks[0]!.flowM3PerS).toBeCloseTo(brought, 12)
    }
  })
  test('of a box: its drains carry what comes over its rim', () => {
    for (const school of ['siphon-trickle-emergency', 'vented-emergency'] as const) {
      const { tanks, drains } = solveBasin(aLoop({ school }))
      const down = drains.reduce((sum, { flowM3PerS }) => sum + flowM3PerS, 0)
      expect(down).toBeCloseTo(tanks[0]!.flowM3PerS, 6)
    }
  })
  test('of a loop: its levels rest, and solving the rest again moves nothing', () => {
    const steady = steadyState(aLoop())
    expect(steady.residualM).toBe(0)
    const again = steadyState(steady.design)
    for (const [i, levelM] of steady.levels.entries()) {
      expect(again.levels[i]).toBeCloseTo(levelM, 5)
    }
  })
})

describe('a band', () => {
  test('is there for every flow that is, and small beside it; losses are known less well where there are more', () => {
    const short = line(run('up 200 mm, nozzle 30 mm'))
    const long = line(run(`up 1 m, ${'elbow, left 300 mm, '.repeat(6)}gate 50%`))
    for (const { flowM3PerS, flowBandM3PerS } of [short, long]) {
      expect(flowBandM3PerS).toBeGreaterThan(0)
      expect(flowBandM3PerS).toBeLessThan(flowM3PerS / 3)
    }
    expect(long.fittingsBandM).toBeGreaterThan(short.fittingsBandM)
    expect(long.frictionBandM).toBeGreaterThan(short.frictionBandM)
  })
})

describe('a tank', () => {
  test('holds less water with more rock and sand, and no less than none', () => {
    const nets = growing(PLAIN, 'tanks.0.displacement.rockMassKg', [0, 20, 60]).map(
      (design) => solveBasin(design).tanks[0]!.netVolumeM3,
    )
    falls(nets)
    expect(nets[2]).toBeGreaterThan(0)
  })
  test('turns over by its net water', () => {
    const { tanks } = solveBasin(PLAIN)
    const [tank] = tanks
    expect(tank!.turnoverPerH).toBeCloseTo((3600 * tank!.flowM3PerS) / tank!.netVolumeM3, 9)
  })
})
