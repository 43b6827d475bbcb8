import { describe, expect, test } from '@jest/globals'
import type { PumpPart, Spot } from '@yew-basin/core'
import {
  axesOf,
  fittedOver,
  nextStep,
  placed,
  pointsOf,
  START,
  traceFaults,
  unplaced,
  type Trace,
} from '../src/parts/trace.ts'

const PUMP = { id: 'traced' } as PumpPart
const x = (litresAnHour: number) => 100 + litresAnHour / 10
const y = (headM: number) => 500 - headM * 100
const AXES: Spot[] = [
  { x: x(0), y: 500 },
  { x: x(4000), y: 500 },
  { x: 100, y: y(0) },
  { x: 100, y: y(4) },
]
const CURVE = [
  [0, 3.6],
  [1000, 3.2],
  [2000, 2.4],
  [3000, 1.1],
  [3500, 0],
] as const

function traced(curve: readonly (readonly [number, number])[]): Trace {
  const values = { 'flow 1': 0, 'flow 2': 4000 / 3.6e6, 'head 1': 0, 'head 2': 4 }
  const spots = [...AXES, ...curve.map(([flow, head]) => ({ x: x(flow), y: y(head) }))]
  return spots.reduce(placed, { ...START, values })
}

describe('tracing', () => {
  test('asks for two places on each axis, then for the curve', () => {
    const steps = AXES.reduce<{ trace: Trace; asked: string[] }>(
      ({ trace, asked }, spot) => ({
        trace: placed(trace, spot),
        asked: [...asked, nextStep(trace)],
      }),
      { trace: START, asked: [] },
    )
    expect(steps.asked).toEqual(['flow 1', 'flow 2', 'head 1', 'head 2'])
    expect(nextStep(steps.trace)).toBe('curve')
  })
  test('gives the curve in SI, whatever order it was clicked in', () => {
    const points = pointsOf(traced([...CURVE].reverse()))
    expect(points.map(({ headM }) => headM)).toEqual([3.6, 3.2, 2.4, 1.1, 0])
    expect(points[2]!.flowM3PerS).toBeCloseTo(2000 / 3.6e6, 6)
    expect(traceFaults(traced(CURVE))).toEqual([])
  })
  test('a shaky click makes no rising curve, and one under the axis is zero', () => {
    const points = pointsOf(
      traced([
        [0, 3],
        [100, 3.01],
        [2000, 1],
        [2500, -0.02],
      ]),
    )
    expect(points.map(({ headM }) => headM)).toEqual([3, 3, 1, 0])
  })
  test('the fitted curve lies over the clicks', () => {
    const over = fittedOver(traced(CURVE), PUMP)
    expect(over[0]).toEqual({ x: expect.closeTo(x(0), 1), y: expect.closeTo(y(3.6), 1) })
    expect(over.at(-1)!.x).toBeCloseTo(x(3500), 0)
    expect(fittedOver(START, PUMP)).toEqual([])
  })
  test('takes back one thing at a time, down to nothing', () => {
    let trace = traced(CURVE.slice(0, 1))
    const left: number[] = []
    for (let i = 0; i < 6; i++) {
      trace = unplaced(trace)
      left.push(Object.keys(trace.spots).length)
    }
    expect(left).toEqual([4, 3, 2, 1, 0, 0])
  })
  test('axes without numbers apart are no axes', () => {
    const same = { ...traced(CURVE), values: { ...START.values, 'flow 2': 0 } }
    expect(axesOf(same)).toBe('same-values')
    expect(pointsOf(same)).toEqual([])
  })
  test('two clicks at one flow are a fault that is said', () => {
    expect(
      traceFaults(
        traced([
          [0, 3],
          [1000, 2],
          [1000, 2],
        ]),
      ).join(),
    ).toMatch(/flow must rise/)
  })
})
