import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type AxisMarks, chartAxes, type ChartAxes } from '../../src/numeric/chart-axes.ts'

const STRAIGHT: AxisMarks = {
  flow: [
    { spot: { x: 100, y: 400 }, value: 0 },
    { spot: { x: 500, y: 400 }, value: 4000 },
  ],
  head: [
    { spot: { x: 100, y: 400 }, value: 0 },
    { spot: { x: 100, y: 100 }, value: 3 },
  ],
}
function axes(marks: AxisMarks): ChartAxes {
  const made = chartAxes(marks)
  if (typeof made === 'string') throw new Error(made)
  return made
}

describe('the axes of a printed chart', () => {
  test('turn a spot into what is printed there', () => {
    expect(axes(STRAIGHT).valueAt({ x: 300, y: 250 })).toEqual({ flow: 2000, head: 1.5 })
  })
  test('need no zero: any two numbers on each axis do', () => {
    const shifted: AxisMarks = {
      flow: [
        { spot: { x: 200, y: 420 }, value: 1000 },
        { spot: { x: 400, y: 420 }, value: 3000 },
      ],
      head: [
        { spot: { x: 80, y: 300 }, value: 1 },
        { spot: { x: 80, y: 200 }, value: 2 },
      ],
    }
    // Flow runs 10 a px from x = 100; head 0.01 a px up from y = 400.
    const { flow, head } = axes(shifted).valueAt({ x: 250, y: 350 })
    expect(flow).toBeCloseTo(1500, 9)
    expect(head).toBeCloseTo(0.5, 9)
  })
  test('there and back is the same spot, however the picture is turned', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
    fc.assert(
      fc.property(number(-0.6, 0.6), number(0, 900), number(0, 600), (turn, x, y) => {
        const turned = ({ x: a, y: b }: { x: number; y: number }) => ({
          x: a * Math.cos(turn) - b * Math.sin(turn),
          y: a * Math.sin(turn) + b * Math.cos(turn),
        })
        const [f1, f2] = STRAIGHT.flow
        const [h1, h2] = STRAIGHT.head
        const made = axes({
          flow: [
            { ...f1, spot: turned(f1.spot) },
            { ...f2, spot: turned(f2.spot) },
          ],
          head: [
            { ...h1, spot: turned(h1.spot) },
            { ...h2, spot: turned(h2.spot) },
          ],
        })
        const { flow, head } = made.valueAt({ x, y })
        const back = made.spotOf(flow, head)
        expect(Math.hypot(back.x - x, back.y - y)).toBeLessThan(1e-6)
      }),
      { seed: 4, numRuns: 200 },
    )
  })
  test.each([
    ['same-values', { ...STRAIGHT.flow[1], value: 0 }],
    ['same-spots', { ...STRAIGHT.flow[1], spot: STRAIGHT.flow[0].spot }],
    ['parallel-axes', { ...STRAIGHT.flow[1], spot: { x: 100, y: 50 } }],
  ])('%s are refused', (fault, second) => {
    expect(chartAxes({ ...STRAIGHT, flow: [STRAIGHT.flow[0], second] })).toBe(fault)
  })
})
