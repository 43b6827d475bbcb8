import { steadyFixes } from '../found.ts'
import { aHungBox, aLoop } from '../a-loop.ts'
import type { Finding } from '../../src/finding/finding.ts'
import { applyEdits, type BasinDesign, say, solveBasin, type SolvedBasin } from '../../src/index.ts'
import { sentence } from '../../src/quantity/index.ts'
import { describe, expect, test } from '@jest/globals'

/** Each with something to say about it. */
const DESIGNS: readonly (readonly [string, BasinDesign])[] = [
  ['a loop as it is first laid', aLoop()],
  ['an end that hangs deep', aLoop({ line: 'up 600 mm, elbow, left 300 mm, down 100 mm' })],
  ['a sump that is too low', aLoop({ changes: { 'sump.box.heightM': 0.28 } })],
  ['a hung box', aHungBox()],
  ['pipe that turns by itself', aLoop({ line: 'up 600 mm, left 300 mm' })],
  [
    'elbows in a row',
    aLoop({
      line: 'elbow, up 50 mm, elbow, left 50 mm, elbow, up 600 mm, elbow, left 300 mm',
    }),
  ],
  ['a pump that is too strong', aLoop({ changes: { 'tanks.0.turnoverPerH': 3 } })],
  ['a pump that is too weak', aLoop({ changes: { 'tanks.0.turnoverPerH': 30 } })],
]
const CASES = DESIGNS.flatMap(([name, design]) => {
  const solved = solveBasin(design)
  return solved.findings.flatMap((finding) =>
    steadyFixes(design, finding).fixes.map((fix) => ({
      name,
      code: finding.code,
      design,
      solved,
      finding,
      fix,
    })),
  )
})
const like = ({ code, severity }: Finding) => `${code} ${severity}`
const count = ({ findings }: SolvedBasin, finding: Finding) =>
  findings.filter((same) => like(same) === like(finding)).length
/** "Gives 3 553 L/h." said of the flow at the tank. */
const gives = /^Gives (.*)\.$/

test('there is something to fix in each', () => {
  for (const [name] of DESIGNS) {
    expect([name, CASES.some((known) => known.name === name)]).toEqual([name, true])
  }
  expect(new Set(CASES.map(({ code }) => code)).size).toBeGreaterThan(6)
})

describe.each(CASES)('$name, $code', ({ design, solved, finding, fix }) => {
  const after = solveBasin(applyEdits(design, fix.edits))

  test(`${say(fix.label, 'metric')}: water still runs, and the finding is gone or eased`, () => {
    expect(after.returnSide.status).toBe('flows')
    const flow = (solvedBasin: SolvedBasin) => solvedBasin.returnSide.lines[0]!.flowM3PerS
    const wanted = solved.totals.wantedFlowM3PerS
    const isNearer = Math.abs(flow(after) - wanted) < Math.abs(flow(solved) - wanted)
    const eased = finding.code.startsWith('flow-') && isNearer
    expect(count(after, finding) < count(solved, finding) || eased).toBe(true)
  })
  test('what it says it gives is what it gives', () => {
    const said = gives.exec(say(fix.brings, 'metric'))
    const { flowM3PerS, flowBandM3PerS } = after.returnSide.lines[0]!
    const flow = sentence('{flow}', { flow: ['flow', flowM3PerS, flowBandM3PerS] })
    if (said) expect(said[1]).toBe(say(flow, 'metric'))
    else expect(say(fix.brings, 'metric')).toMatch(/^[A-Z][^{}]{10,}\.$/)
  })
})
