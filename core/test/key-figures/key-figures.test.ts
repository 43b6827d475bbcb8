import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { aSkimmer, aSterilizer, withDevices } from '../a-device.ts'
import { aLoop } from '../a-loop.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { drillAll } from '../../src/drill/drill-all.ts'
import { COLOURED_BY } from '../../src/key-figures/colours.ts'
import { keyFigures } from '../../src/key-figures/key-figures.ts'
import { worstDrillFigure } from '../../src/key-figures/worst-drill.ts'
import { steadyState } from '../../src/loop/steady-state.ts'

const named = (figures: ReturnType<typeof keyFigures>, id: string) => {
  const found = figures.find((figure) => figure.id === id)
  if (!found) throw new Error(`no ${id}, only ${figures.map((figure) => figure.id).join(', ')}`)
  return found
}

describe('key figures', () => {
  test('are the figures of the design, none reckoned anew', () => {
    const solved = solveBasin(aLoop())
    const figures = keyFigures(solved)
    expect(named(figures, 'flow').value.si).toBe(solved.returnSide.flowM3PerS)
    expect(named(figures, 'netVolume').value.si).toBe(solved.totals.netVolumeM3)
    expect(named(figures, 'outage').value.si).toBe(solved.sump.outage!.marginM)
    expect(named(figures, 'drain').value.si).toBe(
      Math.min(...solved.overflows.flatMap(({ blocked }) => blocked.map((row) => row.marginM))),
    )
  })
  test('say less where the way down is not set', () => {
    const ids = keyFigures(solveBasin(aBasin())).map(({ id }) => id)
    expect(ids).toEqual(['netVolume', 'flow', 'turnover', 'head', 'power', 'freeboard', 'speed'])
  })
  test('skimmer and lamp join them', () => {
    const design = withDevices(aLoop(), aSkimmer({}), aSterilizer({ lineId: 'main' }))
    const ids = keyFigures(solveBasin(design)).map(({ id }) => id)
    expect(ids).toContain('dose')
  })
  test('take their state from the worst finding about them, and name it', () => {
    const slow = solveBasin(aBasin(undefined, { 'returnSide.pumps.0.speed': 0.3 }))
    const flow = named(keyFigures(slow), 'flow')
    expect(flow.state).not.toBe('fine')
    expect(flow.finding).toBe(slow.findings.find(({ code }) => COLOURED_BY.flow.includes(code)))
    expect(flow.finding!.severity).toBe(flow.state)
  })
  test('nothing colours a figure but what is found', () => {
    const solved = solveBasin(aLoop())
    for (const keyFigure of keyFigures({ ...solved, findings: [] })) {
      expect([keyFigure.id, keyFigure.state, keyFigure.finding]).toEqual([
        keyFigure.id,
        'fine',
        null,
      ])
    }
  })
  test('a wet drill is shown by its water, a dry one by its margin', () => {
    const { verdicts } = drillAll(steadyState(aLoop()))
    const [worst] = verdicts
    const dry = verdicts.find(({ outcome }) => outcome === 'dry')!
    expect(worstDrillFigure(dry)).toMatchObject({
      state: 'fine',
      value: { quantity: 'length', si: dry.marginM },
    })
    expect(worstDrillFigure({ ...worst!, outcome: 'wet', spilledM3: 0.004 })).toMatchObject({
      state: 'stop',
      value: { quantity: 'volume', si: 0.004 },
    })
  })
})
