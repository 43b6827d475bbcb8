import { describe, expect, test } from '@jest/globals'
import { TEST_PUMP } from '../a-basin.ts'
import { buildFindings, isOfBuilding, withBuilding } from '../../src/basin/building.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, type BasinDesign } from '../../src/design/index.ts'
import { addPump } from '../../src/editing/branch/add-pump.ts'
import { placeTee } from '../../src/editing/branch/place-tee.ts'
import { type BranchKind, teeOff } from '../../src/editing/branch/tee-off.ts'
import { DRAIN_SCHOOLS } from '../../src/editing/gravity/schools.ts'
import { rowM } from '../../src/fitting/index.ts'
import type { Piece, Run } from '../../src/run/index.ts'
import { noAnswers, startDesign, withoutStops } from '../../src/start/index.ts'

const FAMILIES = ['metric', 'us'] as const
const ids = () => {
  let n = 0
  return () => `new-${(n += 1)}`
}
const short = (design: BasinDesign) =>
  buildFindings(design)
    .filter(({ code }) => code === 'stub-too-short')
    .map(({ pieceId }) => pieceId)

describe.each(FAMILIES)('what is laid can be glued, %s', (family) => {
  test.each(DRAIN_SCHOOLS.map(({ school }) => school))('the drains of %s', (school) => {
    // Each kind lays its drains alike; the others are laid where two tanks are.
    for (const kind of ['over-sump', 'several'] as const)
      expect(short(startDesign({ ...noAnswers(kind, family), school }, [TEST_PUMP]))).toEqual([])
  })

  const design = withoutStops(startDesign(noAnswers('over-sump', family), [TEST_PUMP]))
  const solved = solveBasin(design)
  const [line] = design.returnSide.lines
  const union = line!.run.pieces.findIndex(({ kind }) => kind === 'union')
  const BRANCHES: readonly BranchKind[] = [
    { what: 'spare' },
    { what: 'takeoff', chamberId: design.sump.chambers.at(-1)!.id },
    { what: 'nozzle', tankId: design.tanks[0]!.id },
  ]

  test.each(BRANCHES.map((kind) => [kind.what, kind] as const))('a %s', (_, kind) => {
    const at = { lineIndex: 0, afterPiece: union + 3, kind, newId: ids() }
    expect(short(applyEdits(design, teeOff(design, solved, at).edits))).toEqual([])
  })
  test.each(['join', 'own'] as const)('a second pump: %s', (use) => {
    expect(short(applyEdits(design, addPump(design, solved, use, ids()).edits))).toEqual([])
  })
})

describe('a tee after a piece of a run', () => {
  const size = { series: 'pn-16', size: '32', boreM: null } as const
  const up = (id: string, lengthM: number): Piece => ({
    id,
    kind: 'pipe',
    direction: 'up',
    lengthM,
  })
  const elbow: Piece = { id: 'e', kind: 'elbow', form: 'standard-90' }
  const union: Piece = { id: 'u', kind: 'union' }
  const tee: Piece = { id: 't', kind: 'tee', form: 'side' }
  const runOf = (pieces: Piece[]): Run => ({
    size,
    pieces,
    roughnessM: 1.5e-6,
    ribbedFactor: 2,
  })
  const at = { xM: 0, yM: 0, zM: 1 }
  const kinds = (run: Run) => run.pieces.map(({ kind }) => kind)

  test('moves on into the pipe after a fitting', () => {
    const { run, at: place } = placeTee(runOf([elbow, up('p', 1)]), { after: 0, at, size, tee })
    expect(kinds(run)).toEqual(['elbow', 'pipe', 'tee', 'pipe'])
    expect(place.zM - at.zM).toBeCloseTo(rowM(['elbow-90', 'tee'], size), 2)
  })
  test('moves back into the pipe before a fitting', () => {
    const { run, at: place } = placeTee(runOf([up('p', 1), union]), { after: 0, at, size, tee })
    expect(kinds(run)).toEqual(['pipe', 'tee', 'pipe', 'union'])
    expect(at.zM - place.zM).toBeCloseTo(rowM(['tee', 'union'], size), 2)
  })
  test('between two pipes, or where no pipe has room, stands as asked', () => {
    const between = runOf([up('p', 1), up('q', 1)])
    expect(kinds(placeTee(between, { after: 0, at, size, tee }).run)[1]).toBe('tee')
    const tight = placeTee(runOf([elbow, up('p', 0.05), union]), { after: 0, at, size, tee })
    expect(kinds(tight.run)).toEqual(['elbow', 'tee', 'pipe', 'union'])
    expect(tight.at).toEqual(at)
  })
})

test('what is found of a design as it is built stands among its other findings, the worst first', () => {
  const solved = solveBasin(startDesign(noAnswers('over-sump', 'metric'), [TEST_PUMP]))
  const stub = { ...solved.findings[0]!, code: 'stub-too-short', severity: 'stop' } as const
  const both = withBuilding(solved, [stub])
  expect(both.findings[0]).toBe(stub)
  expect(both.findings).toHaveLength(solved.findings.length + 1)
  expect(both.findings.filter(isOfBuilding)).toEqual([stub])
  expect(withBuilding(solved, [])).toBe(solved)
})
