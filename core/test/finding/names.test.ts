import { steadyFixes } from '../found.ts'
import { aSkimmer, aSterilizer, withDevices } from '../a-device.ts'
import { aLoop } from '../a-loop.ts'
import { INSIDE } from '../a-treated-loop.ts'
import {
  allDrills,
  type BasinDesign,
  logWords,
  say,
  solveBasin,
  steadyState,
} from '../../src/index.ts'
import { simulateDrill } from '../../src/lab.ts'
import type { Sentence } from '../../src/quantity/sentence.ts'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'

/** Each thing of a design with a name of its own, which stands nowhere else in any sentence. */
const mark = (kind: string, i: number) => `Qx${kind}${i}Zj`

/** The same design with every name that a keeper types made by a function. */
function renamed(design: BasinDesign, name: (kind: string, i: number) => string): BasinDesign {
  const { tanks, sump, drains, returnSide, pumps } = design
  const all = <Thing extends { readonly name: string }>(kind: string, things: readonly Thing[]) =>
    things.map((thing, i) => ({ ...thing, name: name(kind, i) }))
  return {
    ...design,
    tanks: all('tank', tanks),
    drains: all('drain', drains),
    pumps: all('pump', pumps),
    sump: {
      ...sump,
      chambers: all('chamber', sump.chambers),
      devices: sump.devices.map((device, i) => ({ ...device, name: name('device', i) })),
    },
    returnSide: { ...returnSide, lines: all('line', returnSide.lines) },
    drills: [{ id: 'own', name: name('drill', 0), steps: [{ atS: 0, drillId: 'power-cut' }] }],
  }
}

const read = (sentence: Sentence) => say(sentence, 'metric')

/** What happens in the drills of a design; no name moves it, so it is simulated once. */
const logsOf = (design: BasinDesign) => {
  const steady = steadyState(design)
  return allDrills(steady).map((drill) => simulateDrill(steady, drill).log)
}

/** Everything that is said of a design: its findings, what fixes them, its drills and their logs. */
function allSaid(design: BasinDesign, logs: ReturnType<typeof logsOf>): string[] {
  const found = solveBasin(design).findings.flatMap((finding) => [
    finding.title,
    finding.reason,
    ...steadyFixes(design, finding).fixes.flatMap(({ label, brings }) => [label, brings]),
  ])
  const drilled = allDrills(steadyState(design)).flatMap(({ title }, i) => [
    title,
    ...logs[i]!.map((entry) => logWords(design, entry)),
  ])
  return [...found, ...drilled].map(read)
}

const DESIGNS: readonly (readonly [string, BasinDesign])[] = [
  ['a loop that floods', aLoop({ line: 'up 600 mm, elbow, left 300 mm, down 60 mm' })],
  ['one with devices', withDevices(aLoop(), aSkimmer({}, INSIDE), aSterilizer({}))],
]
/** What the words of sentences use as their own. */
const BRACED = ['{depth}', '{flow}', '{where}', '{drain}', '{constructor}', '{toString}', '$&', '{']

describe.each(DESIGNS)('of %s', (_, design) => {
  const marked = renamed(design, mark)
  const logs = logsOf(marked)
  const plain = allSaid(marked, logs)
  test('names stand in sentences', () => {
    expect(plain.some((text) => /Qx\w+Zj/.test(text))).toBe(true)
  })
  test('a name is printed as it was typed, whatever it looks like', () => {
    const someName = fc.oneof(
      fc.constantFrom(...BRACED),
      fc.string({ minLength: 1, maxLength: 12 }),
    )
    fc.assert(
      fc.property(fc.array(someName, { minLength: 5, maxLength: 5 }), (names) => {
        const typed = (kind: string, i: number) => names[(kind.length + i) % names.length]!
        const wanted = plain.map((text) =>
          text.replace(/Qx([a-z]+)(\d+)Zj/g, (_all, kind: string, i: string) =>
            typed(kind, Number(i)),
          ),
        )
        expect(allSaid(renamed(design, typed), logs)).toEqual(wanted)
      }),
      { numRuns: 12, seed: 16 },
    )
  })
})
