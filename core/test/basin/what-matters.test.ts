import { aBasin, aLine } from '../a-basin.ts'
import { whatMatters } from '../../src/basin/what-matters.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, setTo } from '../../src/design/edit.ts'
import { say } from '../../src/quantity/sentence.ts'
import { describe, expect, test } from '@jest/globals'

const LINE = aBasin('union, up 1 m, elbow, left 300 mm, gate 50%, elbow, up 200 mm, nozzle 20 mm')

describe('what matters most to a flow', () => {
  const found = whatMatters(LINE, 'main')!

  test('is the flow’s own band, shared out, the largest first', () => {
    const { flowM3PerS, flowBandM3PerS } = solveBasin(LINE).returnSide
    expect(found.flowM3PerS).toBeCloseTo(flowM3PerS, 9)
    expect(found.bandM3PerS).toBeCloseTo(flowBandM3PerS, 9)
    const shares = found.matters.map(({ share }) => share)
    expect(shares).toEqual([...shares].sort((a, b) => b - a))
    expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 1)
    expect(say(found.matters[0]!.name, 'metric')).toMatch(/pump’s curve/)
    for (const { shrink } of found.matters) expect(shrink.text.length).toBeGreaterThan(10)
  })
  test('a step of each choice is what the whole design then gives', () => {
    const open = found.steps.find(({ change }) => say(change, 'metric').startsWith('Valve of'))!
    const pieces = LINE.returnSide.lines[0]!.run.pieces.map((piece) =>
      piece.kind === 'valve' ? { ...piece, opening: 0.6 } : piece,
    )
    const after = applyEdits(LINE, [setTo(['returnSide', 'lines', 0, 'run', 'pieces'], pieces)])
    expect(open.flowM3PerS).toBeCloseTo(solveBasin(after).returnSide.flowM3PerS, 9)
    for (const { byM3PerS } of found.steps) expect(byM3PerS).toBeGreaterThan(0)
  })
  test('less lift gives more, and as it is it gives what it gives', () => {
    const flows = found.lifts.map(({ flowM3PerS }) => flowM3PerS)
    for (let i = 1; i < flows.length; i++) expect(flows[i]).toBeLessThan(flows[i - 1]!)
    expect(flows[3]).toBeCloseTo(found.flowM3PerS, 9)
  })
  test('a line that gives nothing has none', () => {
    const shut = aBasin('up 1 m, gate 0%, elbow, left 300 mm')
    expect(whatMatters(shut, 'main')).toBeNull()
    expect(whatMatters(LINE, 'no such line')).toBeNull()
  })
  test('of a takeoff knows the tee and the other lines it hangs on', () => {
    const design = aBasin('union, up 300 mm, tee, up 900 mm, elbow, left 300 mm')
    const lines = [
      design.returnSide.lines[0]!,
      aLine('takeoff', { at: 'tee', id: 'p3' }, 'to 3/4, gate 40%, left 300 mm', {
        at: 'chamber',
        id: 'sump',
      }),
    ]
    const both = applyEdits(design, [setTo(['returnSide', 'lines'], lines)])
    const { matters, steps } = whatMatters(both, 'takeoff')!
    const names = matters.map(({ name }) => say(name, 'metric'))
    expect(names).toContain('Valves part closed')
    expect(steps.length).toBeGreaterThan(3)
  })
})
