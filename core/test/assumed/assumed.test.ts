import { describe, expect, test } from '@jest/globals'
import {
  assumedOf,
  askables,
  allAssumed,
  confirmed,
  nameOf,
  restsOnAssumed,
  standings,
  withMarks,
} from '../../src/assumed/index.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { applyEdits, setTo } from '../../src/design/edit.ts'
import { otherOverflow } from '../../src/editing/index.ts'
import { aBasin } from '../a-basin.ts'

const design = allAssumed(aBasin())
const named = (name: string) => askables(design).find((asked) => asked.name === name)!

describe('what can be asked', () => {
  test('is named by ids, each but once, and leads to a value', () => {
    const all = askables(design)
    expect(new Set(all.map(({ name }) => name)).size).toBe(all.length)
    for (const { path, name, value } of all) {
      expect([name, nameOf(design, path)]).toEqual([name, name])
      expect([name, value === undefined]).toEqual([name, false])
    }
    expect(named('tanks[tank].lengthM').value).toBe(design.tanks[0]!.lengthM)
  })
  test('holds when a list’s order changes', () => {
    const [main] = design.returnSide.lines
    const turned = { ...design, tanks: [{ ...design.tanks[0]!, id: 'other' }, ...design.tanks] }
    expect(nameOf(turned, ['tanks', 1, 'lengthM'])).toBe('tanks[tank].lengthM')
    expect(nameOf(design, ['returnSide', 'lines', 0, 'run', 'size'])).toBe(
      `returnSide.lines[${main!.id}].run.size`,
    )
  })
})

describe('marks after edits', () => {
  const lengthened = setTo(['tanks', 0, 'lengthM'], 1.234)
  test('what a keeper changes is given; what he leaves stays assumed', () => {
    const after = applyEdits(design, withMarks(design, [lengthened], 'given'))
    expect(after.assumed).not.toContain('tanks[tank].lengthM')
    expect(after.assumed).toHaveLength(design.assumed.length - 1)
  })
  test('what a builder changes or puts there is assumed, though it was given', () => {
    const given = { ...design, assumed: [] }
    const after = applyEdits(given, withMarks(given, [lengthened], 'laid'))
    expect(after.assumed).toEqual(['tanks[tank].lengthM'])
    const skimmed = applyEdits(
      given,
      withMarks(given, otherOverflow(given, 0, { form: 'outer-box', place: 'back' }), 'laid'),
    )
    expect(skimmed.assumed).toContain('tanks[tank].overflow.crestM')
    expect(skimmed.assumed).not.toContain('tanks[tank].lengthM')
  })
  test('what is gone is no longer marked, and what changes nothing adds no edit', () => {
    const stale = { ...design, assumed: ['tanks[gone].lengthM'] }
    expect(applyEdits(stale, withMarks(stale, [lengthened], 'given')).assumed).toEqual([])
    const given = { ...design, assumed: [] }
    expect(withMarks(given, [lengthened], 'given')).toEqual([lengthened])
  })
  test('confirmed as it stands, it is given', () => {
    const after = applyEdits(design, confirmed(design, ['tanks[tank].lengthM']))
    expect(assumedOf(after).map(({ name }) => name)).not.toContain('tanks[tank].lengthM')
    expect(after.tanks).toEqual(design.tanks)
  })
})

describe('how a stop stands', () => {
  const wanting = applyEdits(design, [setTo(['tanks', 0, 'turnoverPerH'], 40)])
  const { findings } = solveBasin(wanting)
  test('as its worst finding says; else not set, assumed, and only then fine', () => {
    const quiet = standings({ ...design, assumed: [] }, [])
    expect(quiet.tank.state).toBe('fine')
    expect(standings(design, []).tank.state).toBe('assumed')
    expect(quiet.sump.state).toBe('not-set')
    expect(quiet.overflow.state).toBe('not-set')
    expect(quiet.drains.state).toBe('not-set')
    expect(quiet.skimmer.state).toBe('not-set')
    expect(quiet.sterilizer.state).toBe('not-set')
    const worst = findings.find(({ severity }) => severity !== 'fine')
    if (!worst) throw new Error('nothing was found')
    expect(standings(wanting, findings)[worst.station].state).toBe(worst.severity)
  })
  test('counts what is assumed of it', () => {
    const all = Object.values(standings(design, [])).flatMap(({ assumed }) => assumed)
    expect(all).toHaveLength(design.assumed.length)
  })
  test('a figure hangs on what its stops assume', () => {
    const onlyPump = {
      ...design,
      assumed: [askables(design).find(({ station }) => station === 'return')!.name],
    }
    expect(restsOnAssumed(onlyPump, 'flow')).toBe(true)
    expect(restsOnAssumed(onlyPump, 'netVolume')).toBe(false)
    expect(restsOnAssumed({ ...design, assumed: [] }, 'flow')).toBe(false)
  })
})
