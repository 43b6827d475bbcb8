import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { aLoop } from '../a-loop.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, insertAt } from '../../src/design/edit.ts'
import { devicePiece, endOfRun, newPiece } from '../../src/editing/run/new-piece.ts'
import { BETWEEN_WALLS_M, wallOfKind, wallRange } from '../../src/editing/sump/wall-edits.ts'
import { boreOf } from '../../src/pipe/size.ts'
import type { PieceKind } from '../../src/run/piece.ts'

const KINDS: readonly PieceKind[] = [
  'pipe',
  'elbow',
  'union',
  'valve',
  'check-valve',
  'reducer',
  'bulkhead',
  'nozzle',
  'tee',
  'device',
  'free-hose',
]

describe('a new piece', () => {
  const base = aBasin('union, up 700 mm, elbow, left 300 mm')
  test.each(KINDS)('%s at the end of a line leaves a line that is solved', (kind) => {
    const { run } = base.returnSide.lines[0]!
    const { place, ...around } = endOfRun(run)
    const piece = newPiece(kind, 'new', around)
    const path = ['returnSide', 'lines', 0, 'run', 'pieces'] as const
    const after = applyEdits(base, [insertAt(path, place, piece)])
    expect(after.returnSide.lines[0]!.run.pieces.at(-1)).toEqual(piece)
    expect(solveBasin(after).returnSide.flowM3PerS).toBeGreaterThan(0)
  })
  test('goes before a nozzle, and onto the size a reducer left', () => {
    const { run } = aBasin('up 700 mm, to 3/4, left 300 mm, nozzle 15 mm').returnSide.lines[0]!
    const { place, size, boreM } = endOfRun(run)
    expect(run.pieces[place]!.kind).toBe('nozzle')
    expect(size.size).toBe('3/4')
    expect(boreM).toBe(boreOf(size).boreM)
  })
  test('a device has a loss of its own where its part tells none', () => {
    expect(devicePiece('d', 'chiller', { name: 'Chiller' }).k).toBeGreaterThan(0)
    expect(devicePiece('d', 'other', { name: 'Strainer', k: 1.5 }).k).toBe(1.5)
  })
})

describe('walls', () => {
  const { sump } = aLoop()
  test('keep their room on either side', () => {
    const [first, second, third] = sump.walls
    const { leastM, mostM } = wallRange(sump, 1)
    expect(leastM - (first!.atM + first!.thicknessM)).toBeCloseTo(BETWEEN_WALLS_M, 12)
    expect(third!.atM - (mostM + second!.thicknessM)).toBeCloseTo(BETWEEN_WALLS_M, 12)
    expect(wallRange(sump, 0).leastM).toBeCloseTo(BETWEEN_WALLS_M, 12)
    const last = sump.walls.length - 1
    const end = wallRange(sump, last).mostM + sump.walls[last]!.thicknessM
    expect(sump.box!.lengthM - end).toBeCloseTo(BETWEEN_WALLS_M, 12)
  })
  test('of another kind have what it cannot be without, and nothing of the last', () => {
    const wall = { ...sump.walls[0]!, topM: 0.04, kind: 'over' as const, slotM: 0, teeth: null }
    const comb = wallOfKind(wall, 'comb')
    expect(comb.teeth!.heightM).toBe(0.02)
    const under = wallOfKind(comb, 'under')
    expect(under).toMatchObject({ slotM: 0.02, teeth: null })
    expect(wallOfKind(under, 'over')).toMatchObject({ slotM: 0, teeth: null })
  })
})
