import { ROOM } from '../a-heated-loop.ts'
import { INSIDE } from '../a-treated-loop.ts'
import { aSkimmer, aSterilizer, withDevices } from '../a-device.ts'
import { aLoop } from '../a-loop.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, setTo } from '../../src/design/edit.ts'
import { say } from '../../src/quantity/sentence.ts'
import { QUOTED_TARGETS } from '../../src/uv/targets.ts'
import { everyWorking } from '../../src/working/every-working.ts'
import { figureIsOf, FIGURES, workingOf } from '../../src/working/registry.ts'
import { describe, expect, test } from '@jest/globals'

const LOOP = aLoop({ changes: { 'returnSide.pumps.0.inletHeightM': 0.05 } })
/** A design that has every figure there is. */
const WHOLE = applyEdits(withDevices(LOOP, aSkimmer({}, INSIDE), aSterilizer({ lineId: 'main' })), [
  setTo(['treatment', 'targets'], QUOTED_TARGETS),
  setTo(['treatment', 'targetId'], 'bacteria'),
  setTo(['heat'], ROOM),
])
const solved = solveBasin(WHOLE)
const all = everyWorking(WHOLE, solved)

describe('every working', () => {
  test.each(FIGURES)('%s opens, with its answer in it', (figure) => {
    const own = all.filter((working) => working.figure === figure)
    expect(own.length).toBeGreaterThan(0)
    for (const { working } of own) {
      expect(working.title).not.toBe('')
      expect(working.formula.length).toBeGreaterThan(3)
      expect(working.source.length).toBeGreaterThan(10)
      expect(working.filled.text).toContain('{')
      expect(say(working.filled, 'us')).not.toMatch(/\{\w+\}/)
      expect(working.terms.every(({ value }) => typeof value.si === 'number')).toBe(true)
    }
    expect(own.some(({ working }) => Number.isFinite(working.answer.si))).toBe(true)
  })
  test('is given for each part that has it, once', () => {
    const ids = (figure: string) =>
      all.filter((working) => working.figure === figure).map(({ id }) => id)
    expect(ids('drainFlow')).toEqual(WHOLE.drains.map(({ id }) => id))
    expect(ids('flow')).toEqual(WHOLE.returnSide.lines.map(({ id }) => id))
    expect(ids('netVolume')).toEqual(WHOLE.tanks.map(({ id }) => id))
    expect(ids('chamberTime')).toEqual(WHOLE.sump.chambers.map(({ id }) => id))
    expect(ids('dose')).toEqual(['sterilizer'])
    expect(ids('air')).toEqual(['skimmer'])
    expect(ids('fillLine')).toEqual([null])
  })
  test('there is none where the design has no such part', () => {
    const dose = { design: WHOLE, solved, deviceId: 'skimmer' }
    expect(workingOf('dose', dose)).toBeNull()
    expect(workingOf('drainFlow', { design: WHOLE, solved, drainId: 'nobody' })).toBeNull()
    const bare = aLoop()
    const { sump } = bare
    const unsized = {
      ...bare,
      sump: { ...sump, box: null, walls: [], chambers: [sump.chambers.at(-1)!] },
    }
    const onlyReturn = { ...unsized, drains: [], tanks: [{ ...bare.tanks[0]!, overflow: null }] }
    const figures = everyWorking(onlyReturn, solveBasin(onlyReturn)).map(({ figure }) => figure)
    expect(figures).not.toContain('fillLine')
    expect(figures).not.toContain('weirHead')
    expect(figures.filter((figure) => figureIsOf(figure) === 'line')).toHaveLength(
      FIGURES.filter((figure) => figureIsOf(figure) === 'line').length,
    )
  })
})
