import { describe, expect, test } from '@jest/globals'
import { check, DesignDocument } from '@yew-basin/contract'
import { applyEdits, solveBasin, type BasinDesign, editing } from '@yew-basin/core'
import { aDesign } from './a-design.ts'

let n = 0
const newId = () => `new-${++n}`
const design = aDesign('up 300 mm, union, up 1.1 m, elbow, left 300 mm, nozzle 20 mm')

function teed(base: BasinDesign, kind: editing.BranchKind, after = 1, line = 0) {
  const { edits, lineId } = editing.teeOff(base, solveBasin(base), {
    lineIndex: line,
    afterPiece: after,
    kind,
    newId,
  })
  return { made: applyEdits(base, edits), lineId }
}
/** What may be saved: the contract takes it. */
function saved(made: BasinDesign): BasinDesign {
  const checked = check(DesignDocument, JSON.parse(JSON.stringify(made)))
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults))
  return checked.value
}

describe('teeing off', () => {
  test.each<[string, editing.BranchKind, string]>([
    [
      'a takeoff ends in air over its chamber',
      { what: 'takeoff', chamberId: 'sump' },
      'above-water',
    ],
    ['a second nozzle ends over its tank', { what: 'nozzle', tankId: 'tank' }, 'above-water'],
    ['a spare is capped', { what: 'spare' }, 'cap'],
  ])('%s', (_, kind, end) => {
    const { made, lineId } = teed(design, kind)
    const line = solveBasin(saved(made)).returnSide.lines.find((other) => other.lineId === lineId)!
    expect(line.end).toBe(end)
    expect(line.status).toBe(kind.what === 'spare' ? 'capped' : 'flows')
    // Asked for right after a fitting, it stands so far on that both can be glued.
    expect(made.returnSide.lines[0]!.run.pieces.slice(2, 4).map(({ kind }) => kind)).toContain(
      'tee',
    )
  })
  test('names stay apart, and a branch of a branch stands under it', () => {
    const first = teed(design, { what: 'takeoff', chamberId: 'sump' })
    const second = teed(first.made, { what: 'spare' }, 1, 1)
    const third = teed(second.made, { what: 'takeoff', chamberId: 'sump' }, 0)
    expect(third.made.returnSide.lines.map(({ name }) => name)).toEqual([
      'Main line',
      'Takeoff',
      'Spare',
      'Takeoff 2',
    ])
    expect(editing.asTree(third.made).map(({ depth }) => depth)).toEqual([0, 1, 1, 2])
    saved(third.made)
  })
  test('taking a line out takes what hangs on it, and its tee', () => {
    const first = teed(design, { what: 'takeoff', chamberId: 'sump' })
    const second = teed(first.made, { what: 'spare' }, 1, 1)
    const back = applyEdits(second.made, editing.withoutLine(second.made, first.lineId))
    expect(back).toEqual(design)
  })
})

describe('another pump', () => {
  test('that joins meets the line where its tee is, behind a check valve', () => {
    const { edits, lineId } = editing.addPump(design, solveBasin(design), 'join', newId)
    const made = saved(applyEdits(design, edits))
    const solved = solveBasin(made)
    expect(solved.findings.map(({ code }) => code)).not.toContain('misses-its-place')
    expect(solved.returnSide.flowM3PerS).toBeGreaterThan(solveBasin(design).returnSide.flowM3PerS)
    const back = applyEdits(made, editing.withoutLine(made, lineId))
    expect(back.returnSide.pumps).toHaveLength(1)
    expect(back.returnSide.lines).toEqual(design.returnSide.lines)
  })
  test('with a line of its own leaves the first as it was', () => {
    const { edits } = editing.addPump(design, solveBasin(design), 'own', newId)
    const solved = solveBasin(saved(applyEdits(design, edits)))
    expect(solved.returnSide.lines[1]!.status).toBe('flows')
    expect(solved.returnSide.flowM3PerS).toBeCloseTo(solveBasin(design).returnSide.flowM3PerS, 9)
  })
  test('chosen for one place keeps what another place and the spare use', () => {
    const part = {
      ...design.pumps[0]!,
      id: 'other',
      control: 'fixed-speed' as const,
      leastSpeed: 1,
    }
    const spared = { ...design, returnSide: { ...design.returnSide, sparePumpId: 'p' } }
    const made = saved(applyEdits(spared, editing.choosePump(spared, 0, part)))
    expect(made.pumps.map(({ id }) => id)).toEqual(['other', 'p'])
    expect(made.returnSide.pumps[0]).toMatchObject({ pumpId: 'other', speed: 1 })
    const alone = applyEdits(design, editing.choosePump(design, 0, part))
    expect(alone.pumps.map(({ id }) => id)).toEqual(['other'])
  })
})
