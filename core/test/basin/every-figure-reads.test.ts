import { describe, expect, test } from '@jest/globals'
import { randomDesign } from '../judge/random-design.ts'
import { keyFigures } from '../../src/key-figures/index.ts'
import { say, show, type UnitFamily } from '../../src/quantity/index.ts'
import { solveBasin } from '../../src/basin/solve.ts'

/** Thousands stand apart on screens; here they are counted. */
const ungrouped = (text: string) => text.replaceAll('\u202f', '')

const FAMILIES: readonly UnitFamily[] = ['metric', 'us']
const SEEDS = Array.from({ length: 60 }, (_, i) => i + 401)

/** What nobody can read: no number, an open place, a dash with a unit, days without end. */
const UNREADABLE = /NaN|Infinity|undefined|null|\{\w+\}|–\s?(s|d|h|mm|L|in|gal)\b|\d{6,}/

describe('of sixty likely designs', () => {
  const solved = SEEDS.map((seed) => solveBasin(randomDesign(seed)))

  test('every finding reads in both families', () => {
    for (const { findings } of solved) {
      for (const { title, reason } of findings) {
        for (const family of FAMILIES) {
          expect(ungrouped(say(title, family))).not.toMatch(UNREADABLE)
          expect(ungrouped(say(reason, family))).not.toMatch(UNREADABLE)
        }
      }
    }
  })
  test('every key figure is a number that can be read, or is not there', () => {
    for (const basin of solved) {
      for (const figure of keyFigures(basin)) {
        if (!figure.value) continue
        for (const family of FAMILIES) {
          const { number, unit } = show(figure.value, family)
          expect(ungrouped(`${number} ${unit}`)).not.toMatch(UNREADABLE)
        }
      }
    }
  })
  test('the line on the glass stands between floor and rim, or there is none', () => {
    SEEDS.forEach((seed, i) => {
      const line = solved[i]!.sump.outage?.fillLineM ?? null
      const { floorHeightM, heightM } = randomDesign(seed).sump.box!
      if (line === null) return
      expect(line).toBeGreaterThan(floorHeightM)
      expect(line).toBeLessThan(floorHeightM + heightM)
    })
  })
})
