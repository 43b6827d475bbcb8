import { describe, expect, test } from '@jest/globals'
import { aBasin, TEST_PUMP } from '../a-basin.ts'
import { withChanges } from '../changes.ts'
import { comparePumps } from '../../src/basin/compare-pumps.ts'
import { dutyCurves } from '../../src/basin/curves.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { swaps } from '../../src/basin/swap.ts'
import { choosePump } from '../../src/editing/index.ts'
import { applyEdits } from '../../src/design/edit.ts'
import { ratedNeed } from '../../src/sizing/rated.ts'

const DESIGN = aBasin('union, up 1.2 m, elbow, left 600 mm, gate 80%')
const placed = DESIGN.returnSide.pumps[0]!
const part = { ...TEST_PUMP, id: 'other', name: 'Other' }
const stronger = {
  ...part,
  id: 'stronger',
  curve: part.curve.map(({ flowM3PerS, headM }) => ({
    flowM3PerS: 1.5 * flowM3PerS,
    headM: 1.5 * headM,
  })),
}

describe('a pump in another’s place', () => {
  test('gives what a design with it gives, to the last digit', () => {
    for (const choice of [part, stronger]) {
      const [tried] = swaps(DESIGN, [choice], placed.id)
      const put = applyEdits(DESIGN, choosePump(DESIGN, 0, choice))
      const speed = put.returnSide.pumps[0]!.speed
      const same = withChanges(put, { 'returnSide.pumps.0.speed': speed })
      expect(tried!.flowM3PerS).toBeCloseTo(solveBasin(same).returnSide.pumps[0]!.flowM3PerS, 9)
    }
  })
  test('of the same part gives the same', () => {
    const own = DESIGN.pumps.find(({ id }) => id === placed.pumpId)!
    const [tried] = swaps(DESIGN, [own], placed.id)
    expect(tried!.flowM3PerS).toBeCloseTo(solveBasin(DESIGN).returnSide.flowM3PerS, 12)
  })
})

describe('pumps side by side', () => {
  const chosen = [
    { part, speed: 1 },
    { part: stronger, speed: 1 },
    { part: stronger, speed: 0.7 },
  ]
  const { pumps } = comparePumps(DESIGN, placed.id, chosen)
  test('stand in the order they were chosen, the stronger with more flow', () => {
    expect(pumps).toHaveLength(3)
    const flows = pumps.map(({ solved }) => solved.flowM3PerS)
    expect(flows[1]).toBeGreaterThan(flows[0]!)
    expect(flows[2]).toBeLessThan(flows[1]!)
  })
  test('their curves fall, and each meets the line where it was solved', () => {
    for (const { curve, solved } of pumps) {
      for (let i = 1; i < curve.length; i++) {
        expect(curve[i]!.headM).toBeLessThanOrEqual(curve[i - 1]!.headM + 1e-9)
      }
      const above = curve.find(({ flowM3PerS }) => flowM3PerS >= solved.flowM3PerS)!
      expect(above.headM).toBeLessThanOrEqual(solved.headM + 1e-6)
    }
  })
  test('a controllable one is shown slower too, never slower than it turns', () => {
    for (const { part: shown, family } of pumps) {
      expect(family.length).toBeGreaterThan(1)
      for (const { speed, points } of family) {
        expect(speed).toBeGreaterThanOrEqual(shown.leastSpeed)
        expect(points.length).toBeGreaterThan(2)
      }
      const tops = family.map(({ points }) => points[0]!.headM)
      expect(tops).toEqual([...tops].sort((a, b) => b - a))
    }
  })
})

describe('what a pump’s box must say', () => {
  test('is more than the flow that is wanted, for the lift that there is', () => {
    const [line] = solveBasin(DESIGN).returnSide.lines
    const need = ratedNeed(DESIGN, line!, 0.8 * line!.flowM3PerS)
    expect(need).not.toBeNull()
    expect(need!.headM).toBeGreaterThan(line!.liftM)
    expect(need!.ratedM3PerS).toBeGreaterThan(need!.flowM3PerS)
    expect(need!.deratedM3PerS).toBeGreaterThan(0.8 * line!.flowM3PerS)
  })
})

describe('the curves of a duty', () => {
  const [line] = solveBasin(DESIGN).returnSide.lines
  const curves = dutyCurves(DESIGN, line!.lineId)
  /** The head of a curve at a flow, straight between its points. */
  const at = (points: typeof curves.pump, flow: number) => {
    const i = points.findIndex(({ flowM3PerS }) => flowM3PerS >= flow)
    const [a, b] = [points[Math.max(0, i - 1)]!, points[i]!]
    const share = (flow - a.flowM3PerS) / (b.flowM3PerS - a.flowM3PerS || 1)
    return a.headM + share * (b.headM - a.headM)
  }
  test('cross at the duty point', () => {
    const { flowM3PerS, pump } = line!
    expect(at(curves.pump, flowM3PerS)).toBeCloseTo(pump.headM, 2)
    expect(at(curves.system, flowM3PerS)).toBeCloseTo(pump.headM, 2)
  })
  test('the line’s band lies round it: less loss below, more above', () => {
    for (const share of [0.4, 0.7, 0.95]) {
      const flow = share * line!.flowM3PerS
      expect(at(curves.systemLow, flow)).toBeLessThan(at(curves.system, flow))
      expect(at(curves.systemHigh, flow)).toBeGreaterThan(at(curves.system, flow))
    }
  })
})
