import { withChanges } from '../changes.ts'
import { aBasin, lead, TEST_PUMP } from '../a-basin.ts'
import { expectClose } from '../close.ts'
import { dutyCurves } from '../../src/basin/curves.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { swaps } from '../../src/basin/swap.ts'
import { applyEdits, type Edit, type EditData, insertAt, setTo } from '../../src/design/edit.ts'
import { say } from '../../src/quantity/sentence.ts'
import { figureIsOf, FIGURES, workingOf } from '../../src/working/registry.ts'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'

describe('a solved basin', () => {
  test('pieces, open end and lift add up to the duty head', () => {
    const returnSide = lead(aBasin('up 1 m, elbow, left 300 mm, to 3/4, gate 60%, nozzle 15 mm'))
    const lost = [...returnSide.pieces, ...returnSide.joints]
    const pieces = lost.reduce((sum, { lossM }) => sum + lossM, 0)
    expectClose('pieces', pieces, returnSide.frictionM + returnSide.fittingsM, 1e-9)
    expectClose('head', returnSide.liftM + pieces, returnSide.pump.headM, 1e-7)
    const stretches = returnSide.stretches.reduce((sum, stretch) => sum + stretch.lossM, 0)
    expectClose('stretches', stretches, returnSide.frictionM, 1e-9)
  })
  test('the nozzle’s mouth is fast on purpose and not the fastest water', () => {
    const returnSide = lead(aBasin('up 1 m, elbow, left 300 mm, nozzle 12 mm'))
    expect(returnSide.exitSpeedMPerS).toBeGreaterThan(3)
    expect(returnSide.fastestMPerS).toBeLessThan(1.5)
  })
  test('a fixed-speed pump runs at full speed whatever the document says', () => {
    const pump = { ...TEST_PUMP, control: 'fixed-speed' as const }
    const one = solveBasin(aBasin(undefined, { pumps: [pump], 'returnSide.pumps.0.speed': 0.5 }))
    expect(one.returnSide.pumps[0]!.speed).toBe(1)
  })
  test('aged pipe carries less, and so does ribbed hose', () => {
    const clean = solveBasin(aBasin('to smooth hose 25, up 1 m, bend, left 300 mm')).returnSide
    const aged = solveBasin(
      aBasin('to smooth hose 25, up 1 m, bend, left 300 mm', {
        'returnSide.lines.0.run.roughnessM': 3e-4,
      }),
    ).returnSide
    const ribbed = solveBasin(aBasin('to ribbed hose 25, up 1 m, bend, left 300 mm')).returnSide
    expect(aged.flowM3PerS).toBeLessThan(clean.flowM3PerS)
    expect(ribbed.flowM3PerS).toBeLessThan(clean.flowM3PerS)
  })
  test('closing the valve never brings more flow', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (a, b) => {
          const flow = (opening: number) =>
            solveBasin(
              applyEdits(aBasin(), [
                setTo(['returnSide', 'lines', 0, 'run', 'pieces', 4, 'opening'], opening),
              ]),
            ).returnSide.flowM3PerS
          expect(flow(Math.min(a, b))).toBeLessThanOrEqual(flow(Math.max(a, b)) + 1e-12)
        },
      ),
      { seed: 3, numRuns: 60 },
    )
  })
  test('the same design gives the same answer', () => {
    expect(solveBasin(aBasin())).toEqual(solveBasin(aBasin()))
  })
  test('a design that names a pump it does not carry is misuse', () => {
    expect(() => solveBasin(aBasin(undefined, { pumps: [] }))).toThrow(/no pump test-pump/)
  })
  test('below 2 ppt conductivity does not apply', () => {
    expect(
      solveBasin(aBasin(undefined, { 'water.salinityPpt': 0 })).water.conductivityMSPerCm,
    ).toBeNull()
  })
})

describe('rules of thumb', () => {
  const design = aBasin('up 1 m, elbow, left 300 mm, 45, union')
  const { rulesOfThumb } = solveBasin(design)
  const returnSide = lead(design)
  test('count feet for elbows and level run', () => {
    expect(rulesOfThumb.countedHeadM.answer).toBeCloseTo(returnSide.liftM + 1.5 * 0.3048 + 0.03, 9)
  })
  test('say how far off they are', () => {
    const { answer, offBy } = rulesOfThumb.deratedFlowM3PerS
    expect(offBy).toBeCloseTo(answer / returnSide.flowM3PerS - 1, 12)
    expect(rulesOfThumb.hazenWilliamsFrictionM.offBy).not.toBeNull()
  })
  test('place the turnover in a quoted range', () => {
    expect(
      solveBasin(aBasin(undefined, { 'returnSide.pumps.0.speed': 0.62 })).rulesOfThumb
        .turnoverRangePerH,
    ).not.toBeNull()
    expect(solveBasin(aBasin()).rulesOfThumb.turnoverRangePerH).toBeNull()
  })
})

describe('workings', () => {
  const odd = aBasin('up 700 mm, elbow, left 300 mm, to 3/4, gate shut', {
    'tanks.0.displacement.rockMassKg': 4000,
    'water.salinityPpt': 0,
  })
  const ofReturn = FIGURES.filter((figure) => ['tank', 'line'].includes(figureIsOf(figure)))
  test.each(ofReturn)('%s says its formula, values and source', (figure) => {
    for (const design of [aBasin(), odd]) {
      const working = workingOf(figure, { design, solved: solveBasin(design) })
      if (!working) {
        expect(['weirHead', 'runningLevel']).toContain(figure)
        continue
      }
      expect(working.formula.length).toBeGreaterThan(3)
      expect(working.source.length).toBeGreaterThan(10)
      expect(say(working.filled, 'us')).not.toMatch(/\{\w+\}/)
      expect(working.terms.every((term) => typeof term.value.si === 'number')).toBe(true)
    }
  })
  test('the flow’s working balances: both sides of its formula are one number', () => {
    const design = aBasin()
    const { values } = workingOf('flow', { design, solved: solveBasin(design) })!.filled
    const siOf = (name: string) => (values[name] as readonly [string, number])[1]
    expectClose('sides', siOf('z') + siOf('hf') + siOf('hk'), siOf('H'), 1e-7)
  })
})

describe('curves for the chart', () => {
  test('cross where the duty point is', () => {
    const design = aBasin(undefined, { 'returnSide.pumps.0.speed': 0.8 })
    const { flowM3PerS } = solveBasin(design).returnSide
    const curves = dutyCurves(design, 'main', 400)
    const at = (points: readonly { flowM3PerS: number; headM: number }[]) => {
      const i = points.findIndex((point) => point.flowM3PerS >= flowM3PerS)
      return points[i]!.headM
    }
    expect(at(curves.pump)).toBeCloseTo(at(curves.system), 1)
    expect(curves.fullSpeed).not.toBeNull()
    expect(at(curves.systemLow)).toBeLessThan(at(curves.system))
    expect(at(curves.systemHigh)).toBeGreaterThan(at(curves.system))
  })
})

test('a pump swapped in gives what it would give if chosen', () => {
  const design = aBasin()
  const strong = {
    ...TEST_PUMP,
    id: 'strong',
    curve: TEST_PUMP.curve.map((point) => ({ ...point, headM: point.headM * 1.5 })),
  }
  const [same, other] = swaps(design, [TEST_PUMP, strong])
  expectClose('same', same!.flowM3PerS, solveBasin(design).returnSide.flowM3PerS)
  expect(other!.flowM3PerS).toBeGreaterThan(same!.flowM3PerS)
})

describe('edits', () => {
  test('leave the old document alone', () => {
    const before = aBasin()
    const kept = structuredClone(before)
    const [first] = before.tanks
    const after = applyEdits(before, [
      insertAt(['tanks'], 1, { ...first!, id: 'second' }),
      setTo(['tanks', 0, 'name'], 'b'),
    ])
    expect(after.tanks.map(({ id, name }) => [id, name])).toEqual([
      ['tank', 'b'],
      ['second', first!.name],
    ])
    expect(before).toEqual(kept)
  })
  test('that name what is not there are misuse', () => {
    expect(() => withChanges(aBasin(), { 'b.c': 1 })).toThrow(/names b/)
    const intoNoList = { op: 'insert', path: ['water'], at: 0, item: 1 } as EditData as Edit
    expect(() => applyEdits(aBasin(), [intoNoList])).toThrow(/no list/)
  })
})
