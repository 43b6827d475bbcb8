import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { aSterilizer, withDevices } from '../a-device.ts'
import { aHeatedLoop } from '../a-heated-loop.ts'
import { aLoop } from '../a-loop.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { FINDING_CODES } from '../../src/finding/codes.ts'
import { RULES } from '../../src/finding/registry.ts'
import type { Station } from '../../src/finding/severity.ts'
import { IDEA_NAMES } from '../../src/idea/idea.ts'
import { ideasOfFinding, ideasOfStation } from '../../src/idea/ideas-of.ts'
import { say, sentence } from '../../src/quantity/index.ts'

const STATIONS: Station[] = [
  'tank',
  'overflow',
  'drains',
  'sump',
  'return',
  'skimmer',
  'sterilizer',
]
const LOOP = solveBasin(aLoop())
const here = (solved: typeof LOOP, station: Station, name: string) => {
  const idea = ideasOfStation(solved, station).find((each) => each.name === name)!
  return idea.here && say(idea.here, 'metric')
}

describe('what a newcomer lacks', () => {
  test.each(STATIONS)('%s has two or three ideas, none twice', (station) => {
    const names = ideasOfStation(LOOP, station).map(({ name }) => name)
    expect(names.length).toBeGreaterThanOrEqual(2)
    expect(names.length).toBeLessThanOrEqual(3)
    expect(new Set(names).size).toBe(names.length)
  })
  test('every finding has one to three, and every idea belongs to a stop or a finding', () => {
    const used = new Set(
      FINDING_CODES.flatMap((code) => {
        const { station } = RULES.find((rule) => rule.code === code)!
        const at = station === 'own' ? 'skimmer' : station
        const names = ideasOfFinding(LOOP, { code, station: at }).map(({ name }) => name)
        expect([code, names.length >= 1 && names.length <= 3]).toEqual([code, true])
        return names
      }),
    )
    expect([...used].toSorted()).toEqual([...IDEA_NAMES].toSorted())
  })
  test('a finding’s ideas are its own where its stop’s would mislead', () => {
    const names = (code: (typeof FINDING_CODES)[number], station: Station) =>
      ideasOfFinding(LOOP, { code, station }).map(({ name }) => name)
    expect(names('check-valve-only-guard', 'return')).toEqual(['comes-down', 'siphon'])
    expect(names('chamber-too-short', 'sump')).toEqual(
      ideasOfStation(LOOP, 'sump').map(({ name }) => name),
    )
  })
  test('say what they come to in this design, in its own figures', () => {
    const design = withDevices(aHeatedLoop([200]), aSterilizer({ lineId: 'main' }))
    const solved = solveBasin(design)
    for (const station of STATIONS) {
      for (const { here: words } of ideasOfStation(solved, station)) {
        const read = words && say(words, 'us')
        expect(read ?? '').not.toMatch(/[{}]|NaN|undefined|null/)
      }
    }
    const { headM, headBandM } = LOOP.overflows[0]!
    expect(here(LOOP, 'overflow', 'weir')).toContain(
      say(sentence('{sheet}', { sheet: ['length', headM, headBandM] }), 'metric'),
    )
    expect(here(solved, 'sterilizer', 'light-and-time')).toContain('pass the lamp')
    expect(here(solved, 'tank', 'warmth')).toContain('the heaters have')
  })
  test('say nothing of what is not set', () => {
    const bare = solveBasin(aBasin())
    expect(here(bare, 'overflow', 'weir')).toBeNull()
    expect(here(bare, 'drains', 'siphon')).toBeNull()
    expect(here(bare, 'sump', 'comes-down')).toBeNull()
    expect(here(bare, 'return', 'head')).toContain('Here')
  })
  test('a pump that stands still is told by how high it would reach', () => {
    const slow = solveBasin(aBasin(undefined, { 'returnSide.pumps.0.speed': 0.2 }))
    const said = here(slow, 'return', 'head')
    expect(said).toMatch(/reaches .*\sm at its speed/)
  })
  test('water that does not fit is said, not a margin', () => {
    expect(here(LOOP, 'sump', 'comes-down')).toMatch(/come down/)
    const spilling = {
      ...LOOP,
      sump: { ...LOOP.sump, outage: { ...LOOP.sump.outage!, spills: true } },
    }
    expect(here(spilling, 'sump', 'comes-down')).toContain('more than the sump has room for')
  })
})
