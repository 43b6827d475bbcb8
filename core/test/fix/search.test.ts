import { aHungBox, aLoop } from '../a-loop.ts'
import { withChanges } from '../changes.ts'
import { findingOf, fixesOf, fixed } from '../found.ts'
import { LOOP } from '../a-treated-loop.ts'
import { aBasin } from '../a-basin.ts'
import { randomDesign } from '../judge/random-design.ts'
import {
  applyEdits,
  type BasinDesign,
  fixesOfFinding,
  lastWord,
  say,
  solveBasin,
} from '../../src/index.ts'
import { matchEdits } from '../../src/editing/gravity/keep-tuned.ts'
import { setTo } from '../../src/design/edit.ts'
import { describe, expect, test } from '@jest/globals'

const stops = (design: BasinDesign) =>
  solveBasin(design).findings.filter(({ severity }) => severity === 'stop')
const labels = (design: BasinDesign, code: Parameters<typeof fixesOf>[1]) =>
  fixesOf(design, code).map(({ label }) => say(label, 'metric'))

describe('what is offered mends', () => {
  test('where the tube is what backs up, a tube is offered and no longer rim', () => {
    const narrow = withChanges(aHungBox(), {
      'tanks.0.overflow.passage': { kind: 'siphon', count: 1, boreM: 0.012, lengthM: 0.6 },
    })
    expect(labels(narrow, 'runs-over-now').join()).toMatch(/tube/)
    expect(labels(narrow, 'runs-over-now').join()).not.toMatch(/rim/)
    expect(stops(fixed(narrow, 'runs-over-now')).map(({ code }) => code)).not.toContain(
      'runs-over-now',
    )
  })
  test('a blocked pipe that floods is mended by another than itself', () => {
    const design = randomDesign(10)
    expect(findingOf(design, 'emergency-cannot-carry').severity).toBe('stop')
    for (const { edits } of fixesOf(design, 'emergency-cannot-carry')) {
      expect(stops(applyEdits(design, edits)).length).toBeLessThan(stops(design).length)
    }
  })
  test('a box without a drain gets a school that has no stop', () => {
    const bare = withChanges(LOOP, { drains: [] })
    expect(stops(fixed(bare, 'box-without-drain'))).toEqual([])
  })
  test('two changes together where neither does alone', () => {
    const design = randomDesign(4)
    const stop = stops(design)[0]!
    const { fixes } = fixesOfFinding(design, stop)
    expect(say(fixes[0]!.label, 'metric')).toMatch(/^Both: /)
    // What else it changes is said with it.
    const { gone, come } = fixes[0]!
    for (const title of [...gone, ...come]) expect(say(title, 'metric')).not.toMatch(/[{}]/)
    expect(gone.length + come.length).toBeGreaterThan(0)
    const after = lastWord.solveWithLastWord(applyEdits(design, fixes[0]!.edits)).findings
    const left = after.filter(({ severity }) => severity === 'stop')
    expect(left.length).toBeLessThan(stops(design).length)
  })
  test('what only its drill makes a stop is tried by its drill', () => {
    const design = aLoop({
      line: 'check, up 950 mm, elbow, left 300 mm, elbow, down 410 mm',
    })
    const { findings } = lastWord.solveWithLastWord(design)
    const stop = findings.find(({ code }) => code === 'check-valve-only-guard')!
    expect(stop.severity).toBe('stop')
    const { fixes } = fixesOfFinding(design, stop)
    expect(fixes.length).toBeGreaterThan(0)
    const after = lastWord.solveWithLastWord(applyEdits(design, fixes[0]!.edits)).findings
    expect(after.filter(({ severity }) => severity === 'stop')).toEqual([])
  })
})

test('what is fine is offered nothing, and nothing would have to change', () => {
  const { findings } = solveBasin(LOOP)
  const fine = findings.filter(({ severity }) => severity === 'fine')
  expect(fine.map(({ code }) => code)).toContain('outage-held')
  for (const finding of fine) {
    expect(fixesOfFinding(LOOP, finding)).toEqual({ fixes: [], otherwise: null })
  }
})

describe('things in their place', () => {
  test('a pump that stands in another chamber than it is said to draws from there', () => {
    const { id } = LOOP.sump.chambers[4]!
    const design = withChanges(LOOP, { 'returnSide.pumps.0.chamberId': id })
    const after = fixed(design, 'pump-outside-chamber')
    expect(after.returnSide.pumps[0]!.chamberId).toBe('sump')
    expect(solveBasin(after).findings.map(({ code }) => code)).not.toContain('pump-outside-chamber')
  })
  test('a chamber without water is filled', () => {
    const design = withChanges(LOOP, { 'sump.chambers.5.levelM': 0.01 })
    const codes = solveBasin(fixed(design, 'level-below-floor')).findings.map(({ code }) => code)
    expect(codes).not.toContain('level-below-floor')
  })
  test('a run through a panel says what would have to change', () => {
    const design = aBasin('union, up 1 m, elbow, left 300 mm', {
      'returnSide.pumps.0.outlet.xM': 0.8,
    })
    const { fixes, otherwise } = fixesOfFinding(design, findingOf(design, 'pipe-through-panel'))
    expect(fixes).toEqual([])
    expect(say(otherwise!, 'metric')).toMatch(/past the rim/)
  })
})

describe('a valve kept at the flow’s match', () => {
  const kept = withChanges(LOOP, { 'drains.0.keepsMatch': true })
  test('is set, and set again when the flow moves; once set nothing is left to do', () => {
    const once = applyEdits(kept, matchEdits(kept))
    expect(solveBasin(once).findings.map(({ code }) => code)).not.toContain('siphon-untuned')
    expect(matchEdits(once)).toEqual([])
    const slower = applyEdits(once, [setTo(['returnSide', 'pumps', 0, 'speed'], 0.8)])
    expect(matchEdits(slower).length).toBe(1)
  })
  test('is left alone where nobody asked for it', () => {
    expect(matchEdits(withChanges(LOOP, { 'drains.0.keepsMatch': false }))).toEqual([])
  })
  test('a fix of the flow takes it along', () => {
    const design = withChanges(applyEdits(kept, matchEdits(kept)), { 'tanks.0.turnoverPerH': 4 })
    const after = fixed(design, 'flow-past')
    expect(solveBasin(after).findings.map(({ code }) => code)).not.toContain('siphon-untuned')
  })
})
