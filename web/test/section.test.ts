import { describe, expect, test } from '@jest/globals'
import { applyEdits, solveBasin, setTo } from '@yew-basin/core'
import { dutyChart } from '../src/pumps/duty-chart.ts'
import { rockHeap } from '../src/section/rocks.ts'
import { drawRun } from '../src/section/run-drawing.ts'
import { scaleFor, windowOf, type SheetView } from '../src/section/scale.ts'
import { aDesign } from './a-design.ts'

function drawn(line: string, view: SheetView = 'section') {
  const design = aDesign(line)
  const solved = solveBasin(design)
  const scale = scaleFor(windowOf(design, solved, view), 730, 700)
  const [run] = design.returnSide.lines
  const [solvedLine] = solved.returnSide.lines
  const drawing = drawRun(run!, solvedLine!, { view, scale })
  return { design, solved, solvedLine: solvedLine!, scale, run: drawing }
}

describe('the run on the sheet', () => {
  const { run, scale } = drawn(
    'up 600 mm, union, gate 50%, up 600 mm, elbow, back 100 mm, elbow, left 300 mm, to 3/4, down 50 mm, nozzle 15 mm',
  )

  test('is to scale: every straight as long as it is', () => {
    const [first] = run.pipes
    expect(first!.y1 - first!.y2).toBeCloseTo(0.6 * scale.pxPerM, 9)
    expect(first!.x1).toBe(first!.x2)
    expect(first!.outsidePx).toBeCloseTo(1.315 * 0.0254 * scale.pxPerM, 6)
  })
  test('draws what runs away from the eye as a ring', () => {
    expect(run.pipes.map((pipe) => pipe.depth)).toEqual([null, null, 'away', null, null])
  })
  test('goes on narrower after a reducer', () => {
    expect(run.pipes.at(-1)!.borePx).toBeLessThan(run.pipes[0]!.borePx)
  })
  test('faster water moves its dashes faster', () => {
    expect(run.pipes.at(-1)!.dashS).toBeLessThan(run.pipes[0]!.dashS)
  })
  test('sets fittings along their pipe, and apart where they share a place', () => {
    const [union, valve, reducer, nozzle] = run.fittings
    expect(union!.turnDeg).toBe(-90)
    expect(Math.abs(union!.y - valve!.y)).toBeGreaterThan(10)
    expect(union!.x).toBeCloseTo(valve!.x, 6)
    expect(reducer!.turnDeg).toBe(180)
    expect(nozzle!.turnDeg).toBe(90)
  })
  test('from above, what rises is a ring and what goes to the back is a straight', () => {
    const plan = drawn('up 600 mm, elbow, back 100 mm, elbow, left 300 mm', 'plan')
    expect(plan.run.pipes.map((pipe) => pipe.depth)).toEqual(['towards', null, null])
    const [, back] = plan.run.pipes
    expect(back!.y1 - back!.y2).toBeCloseTo(0.1 * plan.scale.pxPerM, 9)
  })
  test('free hose is a curve that leaves and arrives along its neighbours', () => {
    const { run: hose } = drawn('up 300 mm, to smooth hose 25, hose 900 mm left 400 mm up 500 mm')
    expect(hose.pipes[1]!.curve).toMatch(/^M[\d. ]+C/)
    expect(hose.pipes[0]!.curve).toBeNull()
  })
  test('without flow nothing moves', () => {
    expect(drawn('up 1 m, gate shut').run.pipes.every((pipe) => pipe.dashS === 0)).toBe(true)
  })
})

describe('the window on the room', () => {
  test('reaches the floor, unless that is far below everything', () => {
    const { design, solved } = drawn('up 1.3 m, elbow, left 200 mm')
    expect(windowOf(design, solved).bottom).toBe(0)
    const high = applyEdits(design, [
      setTo(['sump', 'chambers', 0, 'levelM'], 1.1),
      setTo(['returnSide', 'pumps', 0, 'outlet', 'zM'], 0.85),
    ])
    expect(windowOf(high, solveBasin(high)).bottom).toBeGreaterThan(0.5)
  })
  test('a heap of rock stands inside the tank', () => {
    const xs = [
      ...rockHeap({ left: 100, right: 300, base: 500, top: 400, share: 0.3 }).matchAll(
        /([\d.]+),/g,
      ),
    ].map((match) => Number(match[1]))
    expect(Math.min(...xs)).toBeGreaterThanOrEqual(100)
    expect(Math.max(...xs)).toBeLessThanOrEqual(300)
  })
})

describe('the chart', () => {
  interface Series {
    name: string
    data: number[][]
  }
  const seriesOf = (line: string, family: 'metric' | 'us') => {
    const { design, solvedLine } = drawn(line)
    return dutyChart(design, solvedLine, family, () => '#000').series as Series[]
  }
  test('marks the duty point the core found, in the unit in use', () => {
    const { solvedLine } = drawn('up 1.3 m, elbow, left 200 mm')
    const duty = seriesOf('up 1.3 m, elbow, left 200 mm', 'us').find(
      (line) => line.name === 'duty point',
    )!
    expect(duty.data[0]![0]).toBeCloseTo((solvedLine.flowM3PerS * 3600) / 3.785411784e-3, 6)
    expect(duty.data[0]![1]).toBeCloseTo(solvedLine.pump.headM / 0.3048, 9)
  })
  test('marks none where nothing flows, and draws no head below zero', () => {
    const series = seriesOf('up 1.3 m, gate shut', 'metric')
    expect(series.map((line) => line.name)).not.toContain('duty point')
    expect(series.flatMap((line) => line.data).every((point) => point[1]! >= 0)).toBe(true)
  })
})
