import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { withChanges } from '../changes.ts'
import { fixesOf, findingOf } from '../found.ts'
import { sheetOf } from '../../src/basin/building.ts'
import { plumbingOf } from '../../src/build-sheet/index.ts'
import { applyEdits } from '../../src/design/edit.ts'
import { spigotReachM, takeOffOf } from '../../src/fitting/take-off.ts'
import { solveBasin } from '../../src/index.ts'
import { AS_USUAL } from '../../src/run/index.ts'
import { say } from '../../src/quantity/index.ts'

/** Two elbows so near that no pipe between them can be glued. */
const NEAR = aBasin('up 300 mm, elbow, right 30 mm, elbow, up 700 mm, elbow, left 300 mm')
const street = (left: string) =>
  withChanges(aBasin(`up 300 mm, elbow, right ${left}, elbow, up 700 mm, elbow, left 300 mm`), {
    'returnSide.lines.0.run.pieces.1.made': { ...AS_USUAL, after: 'spigot' },
  })
const { size } = NEAR.returnSide.lines[0]!.run
const elbow = takeOffOf('elbow-90', size)
const homeM = spigotReachM(elbow) + elbow.zM
const home = street(`${(homeM * 1000).toFixed(1)} mm`)

describe('a street elbow', () => {
  test('reaches a shoulder past its socket’s depth', () => {
    expect(spigotReachM({ zM: 0.02, depthM: 0.022 })).toBeCloseTo(0.045, 12)
  })
  test('at home has no pipe between, and one joint in place of two', () => {
    const [plain, built] = [aBasin('up 300 mm, elbow, right 130 mm, elbow, up 700 mm'), home].map(
      plumbingOf,
    )
    expect(built!.cuts.some(({ verdict }) => verdict === 'spigot-off')).toBe(false)
    const between = (of: typeof plain) => of!.joints.filter(({ bodyId }) => bodyId === 'p4')
    expect(between(plain).map(({ kind }) => kind)).toEqual(['glued', 'glued'])
    const elbows = ['p2', 'p4'].map((id) => built!.joints.filter(({ bodyId }) => bodyId === id))
    expect(elbows.map((joints) => joints.length)).toEqual([1, 2])
    expect(built!.joints.every(({ isWhole }) => isWhole)).toBe(true)
  })
  test('is asked for as such', () => {
    const { list } = sheetOf(home, solveBasin(home))
    expect(list.map(({ name }) => name)).toContain('street elbow 90°')
  })
  test('that is not home is a stop with its fix', () => {
    for (const left of ['40 mm', '200 mm']) {
      const off = street(left)
      expect(say(findingOf(off, 'stub-too-short').title, 'metric')).toContain('spigot')
      const after = applyEdits(off, fixesOf(off, 'stub-too-short')[0]!.edits)
      expect(() => findingOf(after, 'stub-too-short')).toThrow('no stub-too-short')
    }
  })
  test('wants a socket beside it', () => {
    const beside = withChanges(home, {
      'returnSide.lines.0.run.pieces.3.made': { ...AS_USUAL, before: 'threaded' },
    })
    expect(plumbingOf(beside).joints.filter(({ isWhole }) => !isWhole)).toHaveLength(1)
  })
  test('is not the only way: a hose goes round a jog without either elbow', () => {
    const labels = fixesOf(NEAR, 'stub-too-short').map(({ label }) => say(label, 'metric'))
    const at = labels.findIndex((label) => label.startsWith('Take') && label.includes('hose'))
    expect(at).toBeGreaterThan(0)
    const after = applyEdits(NEAR, fixesOf(NEAR, 'stub-too-short')[at]!.edits)
    expect(() => findingOf(after, 'stub-too-short')).toThrow('no stub-too-short')
    const kinds = after.returnSide.lines[0]!.run.pieces.map(({ kind }) => kind)
    expect(kinds).toContain('free-hose')
    const { list } = sheetOf(after, solveBasin(after))
    expect(list.map(({ name }) => name)).toEqual(expect.arrayContaining(['hose', 'hose clamp']))
  })
  test('is offered where two fittings stand too near, and mends it', () => {
    const labels = fixesOf(NEAR, 'stub-too-short').map(({ label }) => say(label, 'metric'))
    const at = labels.findIndex((label) => label.startsWith('Take a street elbow'))
    expect(at).toBeGreaterThan(0)
    const after = applyEdits(NEAR, fixesOf(NEAR, 'stub-too-short')[at]!.edits)
    expect(() => findingOf(after, 'stub-too-short')).toThrow('no stub-too-short')
    expect(sheetOf(after, solveBasin(after)).list.map(({ name }) => name)).toContain(
      'street elbow 90°',
    )
  })
})
