import { verdictOf } from '../../src/drill/verdict.ts'
import { aLoop } from '../a-loop.ts'
import { L_PER_H } from '../tables.ts'
import { fixesOfDrill } from '../../src/basin/offered-fixes.ts'
import { allDrills, applyEdits, type BasinDesign, say, steadyState } from '../../src/index.ts'
import { simulateDrill } from '../../src/lab.ts'
import { describe, expect, test } from '@jest/globals'

/** The end hangs deep: much runs back through it. */
const UNDER = 'up 600 mm, elbow, left 300 mm, down 100 mm'
/** Before the tank, so that its panels may be as high as they like. */
const LOW = aLoop({ line: UNDER, changes: { 'sump.box.heightM': 0.3, 'sump.box.yM': -0.6 } })
/** A sump that holds all that comes down, and a pump that draws air when nothing comes back. */
const HIGH = aLoop({
  changes: { 'sump.box.heightM': 0.6, 'returnSide.pumps.0.inletHeightM': 0.06 },
})
const BIG_CAN = { flowM3PerS: 100 * L_PER_H, canM3: 0.15, runLimitS: null }

function simulated(design: BasinDesign, id: string) {
  const steady = steadyState(design)
  const drill = allDrills(steady).find((other) => other.id === id)
  if (!drill) throw new Error(`no drill ${id}`)
  const simulation = simulateDrill(steady, drill)
  const verdict = verdictOf(simulation)
  const fixes = fixesOfDrill(design, drill, verdict).map(({ label, edits }) => ({
    text: say(label, 'metric'),
    after: () => verdictOf(simulateDrill(...again(applyEdits(design, edits), id))),
  }))
  const fix = (words: RegExp) => {
    const found = fixes.find(({ text }) => words.test(text))
    if (!found)
      throw new Error(`no fix ${String(words)} in ${fixes.map(({ text }) => text).join('; ')}`)
    return found
  }
  return { verdict, fixes, fix }
}
function again(design: BasinDesign, id: string) {
  const steady = steadyState(design)
  return [steady, allDrills(steady).find((drill) => drill.id === id)!] as const
}

describe('what may fix a drill', () => {
  test.each(['power-cut', 'power-back', 'pump-stops pump'])(
    'of %s through an end under water: a hole that breaks it, or a higher sump',
    (id) => {
      const { verdict, fix } = simulated(LOW, id)
      expect(verdict.outcome).toBe('wet')
      expect(fix(/^Drill a break hole 20\.0\smm under/).after().outcome).toBe('dry')
      expect(fix(/^Raise the sump’s panels to \d+\smm/).after().outcome).toBe('dry')
    },
  )
  test('is not a hole where there is one, or where the end is in air', () => {
    const lines = LOW.returnSide.lines.map((line) => ({
      ...line,
      end: { ...line.end, breakDepthM: 0.02 },
    }))
    const holed = { ...LOW, returnSide: { ...LOW.returnSide, lines } }
    expect(simulated(holed, 'power-cut').fixes.some(({ text }) => /hole/.test(text))).toBe(false)
    const inAir = aLoop({ changes: { 'sump.box.heightM': 0.28 } })
    expect(simulated(inAir, 'power-cut').fixes.some(({ text }) => /hole/.test(text))).toBe(false)
  })
  test('of a stuck top-off: a can that the sump has room for', () => {
    const { verdict, fix } = simulated(
      aLoop({ changes: { 'sump.topOff': BIG_CAN } }),
      'top-off-open',
    )
    expect(verdict.outcome).toBe('wet')
    const can = fix(/^A can of/)
    expect(can.after().outcome).not.toBe('wet')
    expect(can.after().spilledM3).toBe(0)
  })
  test('of a welded relay: the same can', () => {
    const limited = aLoop({ changes: { 'sump.topOff': { ...BIG_CAN, runLimitS: 600 } } })
    const { fix } = simulated(limited, 'top-off-welded')
    expect(fix(/^A can of/).after().outcome).not.toBe('wet')
  })
  test('of drains that block at once: a sensor, said to be a device that can fail', () => {
    const { fix } = simulated(HIGH, 'both tank')
    const sensor = fix(/^Add a level sensor/)
    expect(sensor.text).toMatch(/can fail/)
    expect(sensor.after().log.map(({ what }) => 'event' in what && what.event.kind)).toContain(
      'sensor-stops-pumps',
    )
  })
  test('is not a sensor where the stopped pump floods the sump sooner', () => {
    const { verdict, fixes } = simulated(LOW, 'both tank')
    expect(verdict.outcome).toBe('wet')
    expect(fixes.some(({ text }) => /sensor/.test(text))).toBe(false)
  })
  test('is nothing where the floor stays dry and the pump full', () => {
    expect(simulated(aLoop(), 'power-cut').fixes).toEqual([])
  })
  test('is said in a way that both unit families can read', () => {
    const [steady, drill] = again(LOW, 'power-cut')
    const verdict = verdictOf(simulateDrill(steady, drill))
    const hole = fixesOfDrill(LOW, drill, verdict).find(({ edits }) =>
      edits[0]!.path.includes('breakDepthM'),
    )!
    expect(say(hole.label, 'us')).toMatch(/0\.79\s?in/)
  })
})
