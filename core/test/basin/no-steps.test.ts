import { aBasin, aLine } from '../a-basin.ts'
import { withChanges } from '../changes.ts'
import { applyEdits, type BasinDesign, setTo, solveBasin } from '../../src/index.ts'
import { describe, expect, test } from '@jest/globals'

/** A return with a takeoff back to the sump and a second nozzle. */
function aManifold(): BasinDesign {
  const design = aBasin(
    'union, up 300 mm, tee, up 100 mm, tee, gate 70%, up 600 mm, elbow, left 300 mm',
  )
  const { lines } = design.returnSide
  return applyEdits(design, [
    setTo(
      ['returnSide', 'lines'],
      [
        lines[0]!,
        aLine('takeoff', { at: 'tee', id: 'p3' }, 'to 3/4, gate 40%, left 300 mm', {
          at: 'chamber',
          id: 'sump',
        }),
        aLine('second', { at: 'tee', id: 'p5' }, 'to 1, gate 80%, left 200 mm, elbow, up 600 mm', {
          at: 'tank',
          id: 'tank',
        }),
      ],
    ),
  ])
}
const MANIFOLD = aManifold()

/** Every flow along a slider moved in small steps. */
function swept(from: number, to: number, steps: number, at: (x: number) => object) {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const x = from + ((to - from) * i) / steps
    const { lines } = solveBasin(withChanges(MANIFOLD, at(x) as Record<string, unknown>)).returnSide
    return lines.map(({ flowM3PerS }) => flowM3PerS)
  })
}

const SLIDERS: readonly (readonly [string, number, number, (x: number) => object])[] = [
  ['a gate', 0.001, 1, (x) => ({ 'returnSide.lines.1.run.pieces.1.opening': x })],
  [
    'a gate that is nearly shut',
    0.0005,
    0.13,
    (x) => ({ 'returnSide.lines.2.run.pieces.1.opening': x }),
  ],
  ['the pump’s speed', 0.4, 1, (x) => ({ 'returnSide.pumps.0.speed': x })],
  ['a bore', 0.016, 0.04, (x) => ({ 'returnSide.lines.0.run.size.boreM': x })],
  ['the lift', 0.45, 1.3, (x) => ({ 'returnSide.lines.0.run.pieces.6.lengthM': x })],
  ['the sump’s level', 0.11, 0.35, (x) => ({ 'sump.chambers.0.levelM': x })],
]

describe('a slider moved in small steps', () => {
  test.each(SLIDERS)('%s makes no flow jump', (_, from, to, at) => {
    const steps = 240
    const coarse = swept(from, to, steps, at)
    const fine = swept(from, to, 2 * steps, at)
    // Where nothing jumps, half the step is half the change; a jump stays as large as it is.
    const largest = (list: readonly number[][], figure: number) =>
      list
        .slice(1)
        .reduce((most, row, i) => Math.max(most, Math.abs(row[figure]! - list[i]![figure]!)), 0)
    coarse[0]!.forEach((__, figure) => {
      const [once, half] = [largest(coarse, figure), largest(fine, figure)]
      if (once < 1e-7) return
      expect(half).toBeLessThan(0.75 * once)
    })
  })
})
