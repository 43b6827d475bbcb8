import { describe, expect, test } from '@jest/globals'
import { aBasin } from '../a-basin.ts'
import { aSkimmer, withDevices } from '../a-device.ts'
import { aLoop } from '../a-loop.ts'
import { INSIDE } from '../a-treated-loop.ts'
import { type Changes, withChanges } from '../changes.ts'
import { randomDesign } from '../judge/random-design.ts'
import type { BasinDesign } from '../../src/design/design.ts'
import { allDrills } from '../../src/drill/drill-all.ts'
import { simulateDrill } from '../../src/drill/simulate-drill.ts'
import { type Verdict, verdictOf } from '../../src/drill/verdict.ts'
import { steadyState } from '../../src/loop/index.ts'
import { say } from '../../src/quantity/index.ts'

const MM = 0.001
const LOOP = aLoop()

interface Outcome {
  readonly verdict: Verdict
  /** Highest and lowest of a vessel, m over the room's floor. */
  readonly of: (vesselId: string) => { readonly highestM: number; readonly lowestM: number }
  /** Where a tank's and the return chamber's water stood before. */
  readonly tankM: number
  readonly returnM: number
  readonly returnId: string
  /** What happened, in its order. */
  readonly happened: readonly string[]
}

/** What a drill of a design comes to. */
function drilled(design: BasinDesign, id: string): Outcome {
  const steady = steadyState(design)
  const drills = allDrills(steady)
  const drill = drills.find((known) => known.id === id)
  if (!drill) throw new Error(`no drill ${id}, only ${drills.map((known) => known.id).join(', ')}`)
  const simulation = simulateDrill(steady, drill)
  expect(simulation.unaccounted).toBeLessThan(1e-9)
  const verdict = verdictOf(simulation)
  return {
    verdict,
    of: (vesselId) => verdict.vessels.find((vessel) => vessel.vesselId === vesselId)!,
    tankM: steady.levels[0]!,
    returnM: steady.chambers[steady.returnIndex]!.levelM,
    returnId: steady.design.sump.chambers[steady.returnIndex]!.id,
    happened: verdict.log.flatMap(({ what }) => ('event' in what ? [what.event.kind] : [])),
  }
}

const changed = (changes: Changes) => withChanges(LOOP, changes)

describe('a pump that a controller stops', () => {
  test('comes to the same as a power cut: what hangs above the sump comes down', () => {
    const pump = LOOP.returnSide.pumps[0]!.id
    const stops = drilled(LOOP, `pump-stops ${pump}`)
    const cut = drilled(LOOP, 'power-cut')
    expect(stops.of('tank').lowestM).toBeCloseTo(cut.of('tank').lowestM, 6)
    expect(stops.of(stops.returnId).highestM).toBeCloseTo(cut.of(cut.returnId).highestM, 6)
    expect(stops.verdict.outcome).toBe(cut.verdict.outcome)
  })
})

describe('a pump that is fouled', () => {
  const pump = LOOP.returnSide.pumps[0]!.id
  test('lets the tank fall to less water over its rim, and wets no floor', () => {
    const { of, tankM, verdict } = drilled(LOOP, `fouled ${pump}`)
    expect(of('tank').lowestM).toBeLessThan(tankM - 0.1 * MM)
    expect(of('tank').highestM).toBeLessThanOrEqual(tankM + 1e-6)
    expect(verdict.spilledM3).toBe(0)
  })
  test('gives less than before, never more', () => {
    const { of, returnM, returnId } = drilled(LOOP, `fouled ${pump}`)
    // Less in the air means more in the sump.
    expect(of(returnId).highestM).toBeGreaterThan(returnM)
  })
})

describe('two pipes blocked at once', () => {
  test('leave the trickle alone: the box rises, and floods where it can’t carry', () => {
    const both = drilled(LOOP, 'both tank')
    const one = drilled(LOOP, `blocked ${LOOP.drains[0]!.id}`)
    expect(both.of('box tank').highestM).toBeGreaterThan(one.of('box tank').highestM)
    expect(both.of('tank').highestM).toBeGreaterThanOrEqual(one.of('tank').highestM - 1e-9)
  })
  test('flood a tank whose pump has water enough, from the tank and nowhere else', () => {
    const deep = changed({ 'tanks.0.rimM': 0.25, 'sump.chambers.5.levelM': 0.33 })
    const { verdict, happened } = drilled(deep, 'both tank')
    expect(verdict.outcome).toBe('wet')
    expect(verdict.spilledFrom.every(({ name }) => name !== 'sump')).toBe(true)
    expect(verdict.spilledFrom.reduce((sum, { volumeM3 }) => sum + volumeM3, 0)).toBeCloseTo(
      verdict.spilledM3,
      9,
    )
    expect(happened).toContain('runs-over')
    expect(verdict.actWithinS).not.toBeNull()
    expect(verdict.actWithinS!).toBeGreaterThan(0)
  })
})

describe('a blocked join', () => {
  const joined: BasinDesign = {
    ...LOOP,
    drains: LOOP.drains.map((drain, i) =>
      i === 0
        ? {
            ...drain,
            run: {
              ...drain.run,
              pieces: [
                ...drain.run.pieces.slice(0, 1),
                { id: 'join', kind: 'tee' as const, form: 'side' as const },
                ...drain.run.pieces.slice(1),
              ],
            },
          }
        : i === 1
          ? { ...drain, end: { ...drain.end, at: 'tee' as const, id: 'join' } }
          : drain,
    ),
  }
  test('takes both pipes: the box stands as with each of the two blocked, or higher', () => {
    const [trunk, branch] = joined.drains
    const below = drilled(joined, `joined ${branch!.id}`)
    for (const { id } of [trunk!, branch!]) {
      const alone = drilled(joined, `blocked ${id}`)
      expect(below.of('box tank').highestM).toBeGreaterThanOrEqual(
        alone.of('box tank').highestM - 1e-6,
      )
    }
    expect(say(below.verdict.title, 'metric')).toContain(trunk!.name)
    expect(say(below.verdict.title, 'metric')).toContain(branch!.name)
  })
})

describe('socks that are full', () => {
  const socks = LOOP.sump.chambers.find(({ use }) => use === 'socks')!
  test('pass nothing but over their wall: where that is the way already, nothing changes', () => {
    const { of, verdict } = drilled(LOOP, `sock ${socks.id}`)
    expect(of(socks.id).highestM).toBeCloseTo(steadyState(LOOP).chambers[0]!.levelM, 9)
    expect(verdict.outcome).toBe('dry')
  })
  test('raise their chamber over a wall that water went under', () => {
    const under = changed({ 'sump.walls.0.kind': 'under', 'sump.walls.0.slotM': 0.05 })
    const topM = LOOP.sump.box!.floorHeightM + under.sump.walls[0]!.topM
    expect(steadyState(under).chambers[0]!.levelM).toBeLessThan(topM)
    const { of, verdict } = drilled(under, `sock ${socks.id}`)
    expect(of(socks.id).highestM).toBeGreaterThan(topM)
    expect(verdict.spilledM3).toBe(0)
  })
})

describe('teeth that are half fouled', () => {
  test('need more water over them, so the tank rises', () => {
    const { of, tankM } = drilled(LOOP, 'teeth tank')
    expect(of('tank').highestM).toBeGreaterThan(tankM + 0.1 * MM)
    expect(of('tank').lowestM).toBeGreaterThanOrEqual(tankM - MM)
  })
  test('flood a tank with no height over them', () => {
    const { tankM } = drilled(LOOP, 'teeth tank')
    const rimM = tankM - LOOP.tanks[0]!.floorHeightM + 0.2 * MM
    expect(drilled(changed({ 'tanks.0.rimM': rimM }), 'teeth tank').verdict.outcome).toBe('wet')
  })
})

describe('a skimmer that stops', () => {
  const skimmed = withDevices(LOOP, aSkimmer({ givesBackM3: 0.004 }, INSIDE))
  test('gives its water back to the sump, and takes it again when it starts', () => {
    const { of, returnM, returnId, verdict } = drilled(skimmed, 'skimmer-off')
    expect(of(returnId).highestM).toBeGreaterThan(returnM + MM)
    expect(verdict.spilledM3).toBe(0)
    expect(verdict.endS).toBeGreaterThan(3600)
  })
  test('wets the floor where the sump has no room for it', () => {
    const { returnM } = drilled(skimmed, 'skimmer-off')
    const heightM = returnM - LOOP.sump.box!.floorHeightM + MM
    const tight = withChanges(skimmed, { 'sump.box.heightM': heightM })
    expect(drilled(tight, 'skimmer-off').verdict.outcome).toBe('wet')
  })
})

describe('a valve that is knocked shut', () => {
  test('starves the tank: its water falls to the rim and no further', () => {
    const { of, tankM, verdict } = drilled(LOOP, 'shut main')
    const crestM = LOOP.tanks[0]!.floorHeightM + LOOP.tanks[0]!.overflow!.crestM
    expect(of('tank').lowestM).toBeLessThan(tankM)
    expect(of('tank').lowestM).toBeGreaterThan(crestM - 5 * MM)
    expect(verdict.spilledM3).toBe(0)
  })
})

describe('a water change with the pump left on', () => {
  test('takes from the return chamber what it says, and no more', () => {
    const { of, returnM, returnId, verdict } = drilled(LOOP, 'water-change')
    expect(of(returnId).lowestM).toBeLessThan(returnM - MM)
    expect(verdict.spilledM3).toBe(0)
    // Taken water is no loss of the reckoning: it is counted as taken.
    expect(verdict.unaccounted).toBeLessThan(1e-9)
  })
})

describe('every drill', () => {
  const ids = allDrills(steadyState(LOOP)).map(({ id }) => id)
  test.each(ids)('%s says in words what it came to, with no bare placeholder', (id) => {
    const { verdict } = drilled(LOOP, id)
    for (const words of [verdict.title, verdict.said, ...(verdict.act ? [verdict.act] : [])]) {
      expect(say(words, 'metric')).not.toMatch(/[{}]|undefined|NaN/)
      expect(say(words, 'us')).not.toMatch(/[{}]|undefined|NaN/)
    }
    expect(verdict.outcome === 'wet').toBe(verdict.spilledM3 > 1e-6)
    for (const { highestM, lowestM } of verdict.vessels)
      expect(highestM).toBeGreaterThanOrEqual(lowestM)
    const times = verdict.log.map(({ atS }) => atS)
    expect(times).toEqual([...times].sort((a, b) => a - b))
  })
  test('of a design without its way down: there is none', () => {
    expect(allDrills(steadyState(aBasin()))).toEqual([])
  })
})

test('a takeoff under the sump’s water runs back until its mouth is bare, and lets air in once', () => {
  const steady = steadyState(randomDesign(225))
  const drill = allDrills(steady).find(({ id }) => id === 'water-change')!
  const { log, steps, atRest } = simulateDrill(steady, drill)
  const letIn = log.flatMap(({ what }) =>
    'event' in what && what.event.kind === 'back-siphon-breaks' ? [what.event.lineId] : [],
  )
  const takeoffs = letIn.filter((id) => id.startsWith('takeoff'))
  expect(takeoffs.length).toBeGreaterThan(0)
  expect(new Set(takeoffs).size).toBe(takeoffs.length)
  expect(atRest).toBe(true)
  // A level that hung on the mouth took thirty thousand.
  expect(steps).toBeLessThan(3000)
})

test('a water change takes no more out of a tank than is in it', () => {
  const small = changed({ 'tanks.0.lengthM': 0.3, 'tanks.0.widthM': 0.12 })
  const steady = steadyState(small)
  const [most] = allDrills(steady).filter(({ id }) => id === 'water-change')
  const more = {
    ...most!,
    faults: [
      { atS: 0, fault: { kind: 'water-taken', flowM3PerS: 1e-3 } as const },
      { atS: 3600, fault: { kind: 'water-kept' } as const },
    ],
    durationS: 7200,
  }
  const { extremes, log } = simulateDrill(steady, more)
  expect(extremes[0]!.lowestM).toBeGreaterThanOrEqual(small.tanks[0]!.floorHeightM)
  const kinds = log.flatMap(({ what }) => ('event' in what ? [what.event.kind] : []))
  expect(kinds).toContain('tank-empty')
})
