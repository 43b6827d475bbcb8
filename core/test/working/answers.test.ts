import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { aSkimmer, aSterilizer, withDevices } from '../a-device.ts'
import { aHungBox, aLoop } from '../a-loop.ts'
import { INSIDE } from '../a-treated-loop.ts'
import { withChanges } from '../changes.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import type { BasinDesign } from '../../src/design/design.ts'
import { keyFigures } from '../../src/key-figures/index.ts'
import { say } from '../../src/quantity/index.ts'
import { QUOTED_TARGETS } from '../../src/uv/targets.ts'
import { everyWorking } from '../../src/working/every-working.ts'
import { type FigureName, workingOf } from '../../src/working/registry.ts'

const LOOP = aLoop({ changes: { 'returnSide.pumps.0.inletHeightM': 0.05 } })
const DESIGNS: Readonly<Record<string, BasinDesign>> = {
  'a plain line': aBasin(),
  'a line with a nozzle': aBasin('union, up 1 m, sweep, left 1 m, gate 40%, nozzle 18 mm'),
  'a whole loop': LOOP,
  'a hung box': aHungBox(),
  'a treated loop': withChanges(
    withDevices(LOOP, aSkimmer({}, INSIDE), aSterilizer({ lineId: 'main' })),
    { 'treatment.targets': QUOTED_TARGETS, 'treatment.targetId': 'bacteria' },
  ),
}

/** A working shows the figure that is shown: the same number, from the same solve. */
describe.each(Object.entries(DESIGNS))('of %s', (_, design) => {
  const solved = solveBasin(design)
  const about = { design, solved }
  const answer = (figure: FigureName) => workingOf(figure, about)!.answer.si

  test('the strip’s figures are the workings’ answers', () => {
    const shown = new Map(keyFigures(solved).map(({ id, value }) => [id, value.si]))
    const [line] = solved.returnSide.lines
    expect(answer('flow')).toBe(line!.flowM3PerS)
    expect(answer('head')).toBe(line!.pump.headM)
    expect(shown.get('head')).toBe(answer('head'))
    expect(answer('netVolume')).toBe(solved.tanks[0]!.netVolumeM3)
    expect(answer('wirePower')).toBeCloseTo(solved.returnSide.wirePowerW, 9)
    expect(shown.get('power')).toBeCloseTo(answer('allPower'), 9)
  })

  test('the duty head is the lift, the friction and the fittings, each by its own working', () => {
    expect(answer('lift') + answer('friction') + answer('fittings')).toBeCloseTo(answer('head'), 6)
  })

  test('every answer stands in its formula, and every value in words of both families', () => {
    for (const { working, figure } of everyWorking(design, solved)) {
      for (const family of ['metric', 'us'] as const) {
        const filled = say(working.filled, family)
        expect([figure, filled]).toEqual([figure, expect.not.stringMatching(/\{\w+\}|undefined/)])
        for (const { rule } of working.rules) {
          expect(say(rule, family)).not.toMatch(/\{\w+\}|undefined/)
        }
      }
      const symbols = working.terms.map(({ symbol }) => symbol)
      expect([figure, new Set(symbols).size]).toEqual([figure, symbols.length])
    }
  })

  test('a band is of the answer’s own kind, and never negative', () => {
    for (const { working } of everyWorking(design, solved)) {
      if (!working.band) continue
      expect(working.band.quantity).toBe(working.answer.quantity)
      expect(working.band.si).toBeGreaterThanOrEqual(0)
    }
  })

  test('a rule of thumb says by how much it is off, where there is something to compare', () => {
    for (const { working } of everyWorking(design, solved)) {
      for (const { offBy } of working.rules) {
        if (offBy !== null) expect(Number.isFinite(offBy)).toBe(true)
      }
    }
  })
})
