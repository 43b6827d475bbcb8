import { expect, test } from '@jest/globals'
import { type Finding, solveBasin } from '@yew-basin/core'
import type { DrawnRun } from '../src/section/run-drawing.ts'
import { findingMarks } from '../src/section/finding-marks.ts'
import { aDesign } from './a-design.ts'

const [any] = solveBasin(aDesign('up 1 m')).findings
const of = (pieceId: string | null, severity: Finding['severity']): Finding => ({
  ...any!,
  pieceId,
  severity,
})
const pipe = { pieceId: 'pipe', x1: 10, y1: 100, x2: 50, y2: 100 } as DrawnRun['pipes'][number]
const valve = {
  piece: { id: 'valve', kind: 'union' },
  x: 200,
  y: 40,
} as DrawnRun['fittings'][number]
const RUNS: readonly DrawnRun[] = [
  { lineId: 'main', filling: 'water', pipes: [pipe], fittings: [valve] },
]

test('a stop or watch of a piece is marked beside it, once, by its worst', () => {
  const marks = findingMarks([of('pipe', 'stop'), of('valve', 'watch'), of('pipe', 'watch')], RUNS)
  expect(marks.map(({ key, severity }) => [key, severity])).toEqual([
    ['pipe', 'stop'],
    ['valve', 'watch'],
  ])
  expect(marks[0]!.x).toBeLessThan(30)
  expect(marks[0]!.y).toBeLessThan(100)
  expect(marks[1]!.x).toBeLessThan(200)
})

test('what is fine, names no piece, or a piece that is not drawn, is not marked', () => {
  expect(
    findingMarks([of('pipe', 'fine'), of(null, 'stop'), of('elsewhere', 'stop')], RUNS),
  ).toEqual([])
})
