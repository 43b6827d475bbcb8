import { describe, expect, test } from '@jest/globals'
import { aBasin, aLine, lead, TEST_PUMP } from '../a-basin.ts'
import { expectClose } from '../close.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits } from '../../src/design/edit.ts'
import { say } from '../../src/quantity/index.ts'
import { ratedNeed } from '../../src/sizing/rated.ts'
import { size } from '../../src/sizing/search.ts'
import type { SizingWish } from '../../src/sizing/wish.ts'

let n = 0
const newId = () => `new-${++n}`
const scaled = (id: string, times: number, priceClass: number) => ({
  ...TEST_PUMP,
  id,
  name: id,
  priceClass,
  ratedPowerW: TEST_PUMP.ratedPowerW * times,
  curve: TEST_PUMP.curve.map(({ flowM3PerS, headM }) => ({
    flowM3PerS: flowM3PerS * times,
    headM: headM * Math.sqrt(times),
  })),
})
const SHELF = [scaled('small', 0.6, 1), scaled('middle', 1, 2), scaled('large', 1.8, 4)]
const design = aBasin('union, up 1 m, gate, elbow, left 300 mm, elbow, down 30 mm, nozzle 20 mm', {
  'returnSide.pumps.0.outlet.zM': 0.2,
})
const wish = (values: Partial<SizingWish['values']> = {}): SizingWish => ({
  design,
  pumpIndex: 0,
  wantedByTank: { tank: 2400 / 3.6e6 },
  shelf: SHELF,
  values: { quiet: 1, power: 1, price: 1, reserve: 1, fewSizes: 1, ...values },
})

describe('size it', () => {
  const answer = size(wish(), newId)

  test('every option gives what it says when the whole design is solved with it', () => {
    expect(answer.options.length).toBeGreaterThan(2)
    for (const option of answer.options) {
      const { returnSide } = solveBasin(applyEdits(design, option.edits))
      expectClose('flow', returnSide.flowM3PerS, option.flowM3PerS, 1e-5)
      expectClose('power', returnSide.wirePowerW, option.wirePowerW, 1e-5)
      expect(option.flowBandM3PerS).toBeCloseTo(returnSide.flowBandM3PerS, 9)
      expect(option.met).toBeGreaterThanOrEqual(0.98)
      for (const words of [option.label, ...option.reasons]) {
        expect(say(words, 'metric')).not.toMatch(/[{}]/)
      }
      expect(option.reasons.length).toBeGreaterThan(1)
    }
  })
  test('ranks by what is valued: power first finds the thriftiest', () => {
    const { options } = size(wish({ quiet: 0, price: 0, reserve: 0, fewSizes: 0, power: 3 }), newId)
    const least = Math.min(...answer.options.map(({ wirePowerW }) => wirePowerW))
    expect(options[0]!.wirePowerW).toBeLessThanOrEqual(least * 1.1)
  })
  test('price first finds a cheaper pump than reserve first', () => {
    const cheap = size(wish({ quiet: 0, power: 0, reserve: 0, price: 3 }), newId).options[0]!
    const safe = size(wish({ quiet: 0, power: 0, price: 0, reserve: 3 }), newId).options[0]!
    expect(cheap.part.priceClass!).toBeLessThanOrEqual(safe.part.priceClass!)
    expect(safe.reserve).toBeGreaterThanOrEqual(cheap.reserve)
  })
  test('offers no pump that does not stand in its chamber', () => {
    const box = {
      make: 'bought',
      xM: 0,
      yM: 0,
      floorHeightM: 0,
      lengthM: 0.4,
      widthM: 0.3,
    } as const
    const small = {
      ...design,
      sump: { ...design.sump, box: { ...box, heightM: 0.4, panelM: 0.01 } },
    }
    const sized = (lengthM: number) =>
      SHELF.map((part) => ({ ...part, size: { lengthM, widthM: 0.1, heightM: 0.1 } }))
    const looked = (lengthM: number) =>
      size({ ...wish(), design: small, shelf: sized(lengthM) }, newId).looked
    expect(looked(0.2)).toBeGreaterThan(0)
    expect(looked(0.5)).toBe(0)
  })
  test('tries one nozzle and two, and says how far it is', () => {
    const progress: number[] = []
    const { options } = size(wish({ quiet: 3 }), newId, (done) => progress.push(done))
    expect(new Set(options.map(({ nozzles }) => nozzles)).size).toBe(2)
    expect(progress).toEqual([...progress].sort((a, b) => a - b))
    expect(progress.at(-1)! % 2).toBe(0)
  })
  test('a takeoff that wants a flow must reach it too', () => {
    const base = aBasin('union, up 300 mm, tee, up 700 mm, gate, elbow, left 300 mm, nozzle 20 mm')
    const takeoff = aLine('takeoff', { at: 'tee', id: 'p3' }, 'to 1/2, gate 40%, left 300 mm', {
      at: 'chamber',
      id: 'sump',
    })
    const wanted = (flowM3PerS: number) => ({
      ...wish(),
      design: {
        ...base,
        returnSide: {
          ...base.returnSide,
          lines: [...base.returnSide.lines, { ...takeoff, wantedFlowM3PerS: flowM3PerS }],
        },
      },
    })
    const little = size(wanted(100 / 3.6e6), newId)
    const much = size(wanted(1100 / 3.6e6), newId)
    expect(little.reaching).toBeGreaterThan(much.reaching)
    for (const option of much.options) {
      const { lines } = solveBasin(applyEdits(wanted(1100 / 3.6e6).design, option.edits)).returnSide
      expect(lines.find(({ lineId }) => lineId === 'takeoff')!.flowM3PerS).toBeGreaterThan(
        0.97 * (1100 / 3.6e6),
      )
    }
  })
  test('finds nothing where nothing reaches it', () => {
    const far = { ...wish(), wantedByTank: { tank: 1 } }
    expect(size(far, newId)).toMatchObject({ reaching: 0, options: [] })
  })
})

describe('what a flow needs a pump to be rated', () => {
  test('a pump scaled so brings that flow, and the rules say how far off they are', () => {
    const base = aBasin()
    const need = ratedNeed(base, lead(base), 3000 / 3.6e6)!
    const times = need.ratedM3PerS / (4100 / 3.6e6)
    const larger = {
      ...TEST_PUMP,
      curve: TEST_PUMP.curve.map(({ flowM3PerS, headM }) => ({
        flowM3PerS: flowM3PerS * times,
        headM: headM * times,
      })),
    }
    const { returnSide } = solveBasin(aBasin(undefined, { pumps: [larger] }))
    expectClose('flow', returnSide.flowM3PerS, 3000 / 3.6e6, 1e-4)
    expectClose('off', need.deratedOff, need.deratedM3PerS / need.ratedM3PerS - 1)
    expect(Number.isFinite(need.countedOff)).toBe(true)
  })
  test('is not set where no pump of this shape reaches it', () => {
    const base = aBasin('union, up 1 m, gate shut, elbow, left 300 mm')
    expect(ratedNeed(base, lead(base), 1e-3)).toBeNull()
  })
})
