import { verdictOf } from '../../src/drill/verdict.ts'
import { playbackOf } from '../../src/drill/playback.ts'
import { withChanges } from '../changes.ts'
import { aBasin } from '../a-basin.ts'
import { aHungBox, aLoop } from '../a-loop.ts'
import { L_PER_H } from '../tables.ts'
import { type EditPath, setTo } from '../../src/design/edit.ts'
import { worstFirst } from '../../src/drill/better.ts'
import { drillsOf } from '../../src/drill/drills.ts'
import { chained } from '../../src/drill/own-drill.ts'
import { makePlant } from '../../src/drill/plant.ts'
import { fixesOfDrill } from '../../src/basin/offered-fixes.ts'
import {
  allDrills,
  applyEdits,
  type BasinDesign,
  type Drill,
  logWords,
  momentAt,
  say,
  steadyState,
  surviving,
  type Verdict,
} from '../../src/index.ts'
import { drillAll, simulateDrill } from '../../src/lab.ts'
import { describe, expect, test } from '@jest/globals'

const MM = 0.001
const TOP_OFF = { flowM3PerS: 100 * L_PER_H, canM3: 0.02, runLimitS: null }
const UNDER = 'up 600 mm, elbow, left 300 mm, down 60 mm'
const CHECKED = 'check, up 600 mm, elbow, left 300 mm, down 60 mm'

const drillOf = (design: BasinDesign, id: string): Drill => {
  const found = allDrills(steadyState(design)).find((drill) => drill.id === id)
  if (!found) {
    const known = allDrills(steadyState(design)).map((drill) => drill.id)
    throw new Error(`no drill ${id}, only ${known.join(', ')}`)
  }
  return found
}
const simulated = (design: BasinDesign, id: string) =>
  simulateDrill(steadyState(design), drillOf(design, id))
const verdict = (design: BasinDesign, id: string): Verdict => verdictOf(simulated(design, id))
const set = (design: BasinDesign, path: EditPath, to: unknown) =>
  withChanges(design, { [path.join('.')]: to })
const happened = ({ log }: Verdict) =>
  log.flatMap(({ what }) => ('event' in what ? [what.event.kind] : []))
const deepest = (found: Verdict, id: string) =>
  found.vessels.find(({ vesselId }) => vesselId === id)!

describe('a power cut', () => {
  test('ends where the drain-back says', () => {
    const design = aLoop()
    const simulation = simulated(design, 'power-cut')
    const steady = steadyState(design)
    const { chambers } = steady
    const rises = deepest(
      verdictOf(simulation),
      steady.design.sump.chambers[steady.returnIndex]!.id,
    )
    expect(rises.highestM).toBeGreaterThan(chambers[steady.returnIndex]!.levelM)
    expect(verdictOf(simulation).outcome).toBe('dry')
  })
  test('an end under water runs back to its mouth, or to its break hole', () => {
    const open = aLoop({ line: UNDER })
    const holed = set(open, ['returnSide', 'lines', 0, 'end', 'breakDepthM'], 0.015)
    const to = (design: BasinDesign) => deepest(verdict(design, 'power-cut'), 'tank').lowestM
    expect(to(open)).toBeLessThan(to(holed))
    const { tanks } = steadyState(holed).design
    const surfaceM = tanks[0]!.floorHeightM + tanks[0]!.waterLevelM
    expect(to(holed)).toBeCloseTo(surfaceM - 0.015, 3)
    expect(happened(verdict(holed, 'power-cut'))).toContain('back-siphon-breaks')
    const grown = verdict(holed, 'grown main')
    expect(deepest(grown, 'tank').lowestM).toBeCloseTo(to(open), 3)
  })
  test('a check valve holds the tank, until it stays open', () => {
    const design = aLoop({ line: CHECKED })
    const held = deepest(verdict(design, 'power-cut'), 'tank').lowestM
    const stuck = deepest(verdict(design, 'check-open main'), 'tank').lowestM
    expect(stuck).toBeLessThan(held - 10 * MM)
    expect(verdict(design, 'check-shut main').outcome).not.toBe('wet')
  })
  test('power that comes back primes the siphon and finds its levels again', () => {
    const simulation = simulated(aLoop(), 'power-back')
    expect(simulation.atRest).toBe(true)
    expect(happened(verdictOf(simulation))).toEqual(
      expect.arrayContaining(['siphon-drops', 'siphon-primes']),
    )
    const steady = steadyState(aLoop())
    const endM =
      simulation.volumes[0]! / simulation.plant.vessels[0]!.areaM2 +
      simulation.plant.vessels[0]!.floorM
    expect(Math.abs(endM - steady.levels[0]!)).toBeLessThan(2 * MM)
  })
})

describe('blocked drains', () => {
  const deep = set(aLoop(), ['sump', 'chambers', 5, 'levelM'], 0.33)
  const all = (design: BasinDesign): Drill => ({
    ...drillOf(design, 'power-cut'),
    id: 'all',
    faults: [
      {
        atS: 0,
        fault: { kind: 'drains-blocked', drainIds: design.drains.map(({ id }) => id), share: 1 },
      },
    ],
  })
  test('all of them: the tank spills, or the pump draws air first', () => {
    const found = verdictOf(simulateDrill(steadyState(deep), all(deep)))
    expect(found.outcome === 'wet' || happened(found).includes('pump-draws-air')).toBe(true)
  })
  test('a sensor stops the pump in time, unless it is stuck', () => {
    const steady = steadyState(deep)
    const boxM = steady.tankLevels[0]!.boxM! - deep.tanks[0]!.floorHeightM
    const watched = set(deep, ['tanks', 0, 'overflow', 'sensorM'], boxM + 0.02)
    const safe = verdictOf(simulateDrill(steadyState(watched), all(watched)))
    expect(happened(safe)).toContain('sensor-stops-pumps')
    expect(safe.outcome).toBe('dry')
    expect(happened(verdict(watched, 'sensor tank'))).not.toContain('sensor-stops-pumps')
  })
  test('one alone leaves the floor dry, by half even drier', () => {
    const [siphon] = aLoop().drains
    const whole = verdict(aLoop(), `blocked ${siphon!.id}`)
    const half = verdict(aLoop(), `half ${siphon!.id}`)
    expect(whole.outcome).toBe('dry')
    expect(deepest(half, 'box tank').highestM).toBeLessThanOrEqual(
      deepest(whole, 'box tank').highestM + 1e-6,
    )
  })
})

describe('the top-off', () => {
  // The sump stands before the tank, so that its panels may be as high as they like.
  const withInlet = aLoop({
    changes: { 'returnSide.pumps.0.inletHeightM': 0.06, 'sump.box.yM': -0.6 },
  })
  const small = set(withInlet, ['sump', 'topOff'], TOP_OFF)
  const big = set(withInlet, ['sump', 'topOff'], { ...TOP_OFF, canM3: 0.12 })
  test('stuck open: a small can freshens, a big one floods; a smaller can fixes it', () => {
    expect(verdict(small, 'top-off-open').outcome).not.toBe('wet')
    expect(verdict(small, 'top-off-open').salinityPpt).toBeLessThan(35)
    const flood = verdict(big, 'top-off-open')
    expect(flood.outcome).toBe('wet')
    expect(flood.spilledM3).toBeGreaterThan(0.005)
    expect(flood.marginM).toBeLessThan(0)
    expect(flood.spilledFrom.map(({ name }) => name)).toEqual(['sump'])
    expect(flood.spilledFrom[0]!.volumeM3).toBeCloseTo(flood.spilledM3, 9)
    const fixes = fixesOfDrill(big, drillOf(big, 'top-off-open'), flood)
    const can = fixes.find(({ edits }) => edits[0]!.path.includes('canM3'))!
    expect(verdict(applyEdits(big, can.edits), 'top-off-open').outcome).not.toBe('wet')
    const raised = fixes.find(({ label }) => label.text.startsWith('Raise'))!
    expect(verdict(applyEdits(big, raised.edits), 'top-off-open').outcome).not.toBe('wet')
  })
  test('stuck shut: salinity climbs until the pump draws air, as the days until it runs dry say', () => {
    const found = verdict(small, 'top-off-shut')
    expect(happened(found)).toContain('pump-draws-air')
    expect(found.salinityPpt).toBeGreaterThan(35)
    expect(found.actWithinS).toBeGreaterThan(86_400)
  })
})

describe('what else may happen', () => {
  test('a hung box that loses its prime lets the tank rise', () => {
    const found = verdict(aHungBox(), 'prime tank')
    const steady = steadyState(aHungBox())
    expect(deepest(found, 'tank').highestM).toBeGreaterThan(steady.levels[0]! + 5 * MM)
  })
  test('a skimmer lifted out lowers the sump', () => {
    const design = applyEdits(aLoop(), [setTo(['sump', 'chambers', 1, 'footprintM2'], 0.02)])
    const found = verdict(design, `out ${design.sump.chambers[1]!.id}`)
    const lifted = deepest(found, design.sump.chambers[1]!.id)
    expect(lifted.lowestM).toBeLessThan(lifted.highestM - MM)
    expect(found.outcome).toBe('dry')
  })
  test('water taken with the pump left on lowers the return chamber', () => {
    const found = verdict(aLoop(), 'water-change')
    const steady = steadyState(aLoop())
    const id = steady.design.sump.chambers[steady.returnIndex]!.id
    expect(deepest(found, id).lowestM).toBeLessThan(steady.chambers[steady.returnIndex]!.levelM)
  })
  test('a design without its way down has nothing to drill', () => {
    expect(drillsOf(steadyState(aBasin()))).toEqual([])
    expect(() => makePlant(steadyState(aBasin()))).toThrow(/way down/)
  })
})

describe('a chain of the keeper’s own', () => {
  const own = {
    id: 'mine',
    name: 'Blocked, then dark',
    steps: [
      { drillId: `blocked ${aLoop().drains[0]!.id}`, atS: 0 },
      { drillId: 'power-cut', atS: 300 },
      { drillId: 'no such drill', atS: 600 },
    ],
  }
  test('runs its steps at their times and leaves out what no longer applies', () => {
    const design = { ...aLoop(), drills: [own] }
    const drill = drillOf(design, 'own mine')
    expect(drill.faults.map(({ atS }) => atS)).toEqual([0, 300])
    const { log } = simulateDrill(steadyState(design), drill)
    const faults = log.filter(({ what }) => 'fault' in what)
    expect(faults.map(({ atS }) => Math.round(atS))).toEqual([0, 300])
  })
  test('of nothing that applies is none', () => {
    expect(chained({ ...own, steps: [{ drillId: 'gone', atS: 0 }] }, [])).toBeNull()
  })
})

describe('all of them together', () => {
  const design = aLoop()
  test('the list is worst first, and every line of every log has its words', () => {
    const { verdicts, survival } = drillAll(steadyState(design))
    expect(verdicts).toEqual(worstFirst(verdicts))
    for (const other of verdicts) {
      for (const entry of other.log) expect(say(logWords(design, entry), 'us')).toMatch(/\w/)
      expect(say(other.said, 'metric')).not.toMatch(/[{}]/)
    }
    const { single, double, points } = survival
    const count = surviving.singleFailures(allDrills(steadyState(design))).length
    expect(single.dry + single.watch + single.wet).toBe(count)
    expect(double.dry + double.watch + double.wet).toBe(
      surviving.pairsOf(surviving.singleFailures(allDrills(steadyState(design)))).length,
    )
    expect(points).toHaveLength(single.wet)
  })
  test('pairs that would take too long in one go are left out, and counted', () => {
    const pairs = surviving.pairsOf(surviving.singleFailures(allDrills(steadyState(design)))).length
    const { survival } = drillAll(steadyState(design), pairs * design.returnSide.lines.length - 1)
    expect(survival.untried).toBe(pairs)
    expect(survival.double).toEqual({ wet: 0, watch: 0, dry: 0 })
    expect(drillAll(steadyState(design)).survival.untried).toBe(0)
  })
  test('no pair is one failure twice', () => {
    for (const { faults } of surviving.pairsOf(
      surviving.singleFailures(drillsOf(steadyState(design))),
    )) {
      const names = faults.map(({ fault }) => JSON.stringify(fault))
      expect(new Set(names).size).toBe(names.length)
    }
  })
})

describe('playing a drill', () => {
  const simulation = simulateDrill(steadyState(aLoop()), drillOf(aLoop(), 'power-cut'), {
    keepsMoments: true,
  })
  const playback = playbackOf(simulation)
  test('begins where it runs, ends where it ended, and is between in between', () => {
    const first = momentAt(playback, 0)
    const last = momentAt(playback, 1e9)
    expect(first.levelsM[0]).toBeCloseTo(simulation.plant.steady.levels[0]!, 9)
    expect(last.levelsM[0]).toBeCloseTo(
      simulation.volumes[0]! / simulation.plant.vessels[0]!.areaM2 +
        simulation.plant.vessels[0]!.floorM,
      6,
    )
    const { timesS } = playback
    const at = Math.floor(timesS.length / 2)
    const middle = momentAt(playback, (timesS[at]! + timesS[at + 1]!) / 2)
    const [a, b] = [momentAt(playback, timesS[at]!), momentAt(playback, timesS[at + 1]!)]
    middle.levelsM.forEach((level, v) =>
      expect(level).toBeCloseTo((a.levelsM[v]! + b.levelsM[v]!) / 2, 9),
    )
  })
  test('keeps no more moments than are looked at', () => {
    expect(playback.timesS.length).toBeLessThanOrEqual(900)
    expect([...playback.timesS]).toEqual([...playback.timesS].sort((a, b) => a - b))
  })
})
