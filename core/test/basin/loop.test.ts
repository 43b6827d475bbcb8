import { fixesOf } from '../found.ts'
import { aLoop } from '../a-loop.ts'
import { expectClose } from '../close.ts'
import { L_PER_H } from '../tables.ts'
import { type BasinDesign, BULKHEADS, solveBasin, steadyState } from '../../src/index.ts'
import { type DrainSchool } from '../../src/editing/index.ts'
import { findSteadyState } from '../../src/loop/find-steady-state.ts'
import { describe, expect, test } from '@jest/globals'

const MM = 0.001
const speeds = [0.5, 0.6, 0.7, 0.8, 0.9, 1]
const atSpeed = (speed: number, design: BasinDesign): BasinDesign => ({
  ...design,
  returnSide: {
    ...design.returnSide,
    pumps: design.returnSide.pumps.map((pump) => ({ ...pump, speed })),
  },
})

describe('the whole loop', () => {
  test('a siphon’s full flow has its pipe’s band; the depths it wants and its sump’s water are one sum each', () => {
    const { drains, sump, treatment } = solveBasin(aLoop({}))
    const siphon = drains.find(({ bellOverInletM }) => bellOverInletM !== null)!
    expect(siphon.primedBandM3PerS).toBeGreaterThan(0.01 * siphon.primedM3PerS)
    expect(siphon.primedBandM3PerS).toBeLessThan(0.2 * siphon.primedM3PerS)
    const boreM = (2.3 * siphon.leastOverInletM! - siphon.bellOverInletM!) / 1.3
    expect(boreM).toBeGreaterThan(0.01)
    expect(siphon.leastOverInletM!).toBeGreaterThan(boreM)
    const chambersM3 = sump.chambers.reduce((sum, { volumeM3 }) => sum + volumeM3!, 0)
    expectClose('in the sump', sump.volumeM3!, chambersM3, 1e-12)
    expectClose('as the load has it', treatment.load.sumpM3, sump.volumeM3!, 1e-12)
  })

  const under = aLoop({ line: 'up 600 mm, elbow, left 300 mm, down 60 mm' })

  test.each([
    ['ends in air', aLoop()],
    ['ends under water', under],
    ['all-in-one', aLoop({ form: 'rear-chambers', uses: ['media', 'return'] })],
    ['hung box', aLoop({ form: 'hung-box' })],
    ['two boxes', aLoop({ form: 'inner-and-outer' })],
  ])('%s: the same rest from any start, in under 30 passes', (_, design) => {
    const steady = steadyState(design)
    expect(steady.residualM).toBe(0)
    expect(steady.passes).toBeLessThan(30)
    for (const offM of [-0.2, -0.02, 0.05, 0.4]) {
      const levels = steady.levels.map((level) => level + offM)
      const again = findSteadyState(design, { levels })
      expect(again.residualM).toBe(0)
      again.levels.forEach((level, i) =>
        expect(Math.abs(level - steady.levels[i]!)).toBeLessThan(1e-6),
      )
    }
  })

  test('what comes in goes over the rim, down the drains and through the sump', () => {
    const solved = solveBasin(aLoop())
    const { flowM3PerS } = solved.returnSide
    const down = solved.drains.reduce((sum, drain) => sum + drain.flowM3PerS, 0)
    expectClose('drains', down, flowM3PerS, 1e-6)
    for (const { chamberId, throughM3PerS } of solved.sump.chambers) {
      expectClose(chamberId, throughM3PerS, flowM3PerS, 1e-6)
    }
    expect(solved.tanks[0]!.surfaceM).toBe(solved.overflows[0]!.surfaceM)
  })

  test('more flow never lowers a level', () => {
    const design = aLoop({ changes: { 'pumps.0.control': 'controllable' } })
    let last: readonly number[] = []
    for (const speed of speeds) {
      const { levels } = steadyState(atSpeed(speed, design))
      levels.forEach((level, i) => expect(level).toBeGreaterThanOrEqual((last[i] ?? 0) - 1e-7))
      last = [...levels]
    }
  })

  test('the level of the display lifts an outlet under water', () => {
    const low = solveBasin(under)
    const high = solveBasin(
      aLoop({
        line: 'up 600 mm, elbow, left 300 mm, down 60 mm',
        changes: { 'tanks.0.overflow.crestM': under.tanks[0]!.overflow!.crestM + 0.02 },
      }),
    )
    expect(low.returnSide.lines[0]!.end).toBe('under-water')
    expect(high.returnSide.lines[0]!.liftM).toBeGreaterThan(low.returnSide.lines[0]!.liftM + 0.019)
    expect(high.returnSide.flowM3PerS).toBeLessThan(low.returnSide.flowM3PerS)
  })

  test('without overflow and sizes every level stays as it is given', () => {
    const bare = { ...aLoop(), drains: [] }
    const given = {
      ...bare,
      tanks: bare.tanks.map((tank) => ({ ...tank, overflow: null })),
      sump: { ...bare.sump, box: null, walls: [] },
    }
    const solved = solveBasin(given)
    expect(solved.tanks[0]!.surfaceM).toBe(given.tanks[0]!.floorHeightM + 0.45)
    expect(solved.sump.outage).toBeNull()
    expect(solved.overflows).toEqual([])
  })
})

describe('blocked pipes', () => {
  const schools: DrainSchool[] = [
    'vented-standpipe',
    'vented-emergency',
    'siphon-emergency',
    'siphon-trickle-emergency',
  ]
  test.each(schools)(
    '%s: a blocked pipe never lowers the box, and never adds to the margin',
    (school) => {
      const design = aLoop({ school })
      const [overflow] = solveBasin(design).overflows
      const running = overflow!
      const { floorHeightM, rimM } = design.tanks[0]!
      for (const row of running.blocked) {
        if (row.boxM !== null && running.boxM !== null) {
          expect(row.boxM).toBeGreaterThanOrEqual(running.boxM - 1e-9)
        }
        expect(row.marginM).toBeLessThanOrEqual(floorHeightM + rimM - running.surfaceM + 1e-9)
        expect(row.carries ? row.marginM >= 0 : row.marginM === 0).toBe(true)
      }
    },
  )

  test('one pipe alone spills when it is blocked, unless a sensor stops the pump', () => {
    const alone = solveBasin(aLoop({ school: 'vented-standpipe' }))
    expect(alone.overflows[0]!.blocked[0]).toMatchObject({ carries: false, marginM: 0 })
    const finding = alone.findings.find(({ code }) => code === 'emergency-cannot-carry')
    expect(finding?.severity).toBe('stop')
    const sensed = solveBasin(
      aLoop({ school: 'vented-standpipe', changes: { 'tanks.0.overflow.sensorM': 0.45 } }),
    )
    expect(sensed.overflows[0]!.blocked[0]!.sensorStops).toBe(true)
    expect(sensed.findings.find(({ code }) => code === 'emergency-cannot-carry')?.severity).toBe(
      'watch',
    )
  })
})

describe('the siphon’s valve', () => {
  test('set as it says, the box stands where it should', () => {
    const design = aLoop()
    const { match } = solveBasin(design).drains[0]!
    expect(match!.opening).not.toBeNull()
    const at = design.drains[0]!.run.pieces.findIndex(({ id }) => id === match!.pieceId)
    const tuned = solveBasin(
      aLoop({ changes: { [`drains.0.run.pieces.${at}.opening`]: match!.opening } }),
    )
    const [overflow] = tuned.overflows
    expect(Math.abs(overflow!.boxM! - match!.levelM)).toBeLessThan(1 * MM)
    expect(tuned.drains[0]!.state).toBe('full')
    expect(tuned.findings.map(({ code }) => code)).not.toContain('siphon-untuned')
  })

  test('shut, the emergency takes it all and says so', () => {
    const design = aLoop()
    const at = design.drains[0]!.run.pieces.findIndex(({ kind }) => kind === 'valve')
    const shut = solveBasin(aLoop({ changes: { [`drains.0.run.pieces.${at}.opening`]: 0 } }))
    const [siphon, trickle, emergency] = shut.drains
    expect(siphon!.flowM3PerS).toBe(0)
    expectClose(
      'both others',
      trickle!.flowM3PerS + emergency!.flowM3PerS,
      shut.returnSide.flowM3PerS,
      1e-6,
    )
    expect(shut.findings.map(({ code }) => code)).toContain('emergency-wet')
  })
})

describe('joined drains', () => {
  /** The trickle ends in a tee of the siphon instead. */
  function joined(): BasinDesign {
    const design = aLoop()
    const [siphon, trickle, emergency] = design.drains
    const pieces = [...siphon!.run.pieces]
    pieces.splice(2, 0, { id: 'join', kind: 'tee', form: 'side' })
    return {
      ...design,
      drains: [
        { ...siphon!, run: { ...siphon!.run, pieces } },
        {
          ...trickle!,
          run: { ...trickle!.run, pieces: trickle!.run.pieces.slice(0, 2) },
          end: { at: 'tee', id: 'join', landing: 'open' },
        },
        emergency!,
      ],
    }
  }

  test('what flows in at the join flows on, and a row counts both as one', () => {
    const solved = solveBasin(joined())
    const down = solved.drains.reduce((sum, drain) => sum + drain.flowM3PerS, 0)
    expectClose('all', down, solved.returnSide.flowM3PerS, 1e-6)
    const both = solved.overflows[0]!.blocked.find(({ drainIds }) => drainIds.length === 2)
    const alone = solved.overflows[0]!.blocked.find(({ drainIds }) => drainIds.length === 1)
    expect(both!.boxM!).toBeGreaterThanOrEqual(alone!.boxM!)
    expect(solved.findings.map(({ code }) => code)).toContain('joined-drains')
  })
})

describe('a power cut', () => {
  test('a bigger box never lowers the margin', () => {
    let last = -Infinity
    for (const widthM of [0.2, 0.3, 0.4, 0.5, 0.7]) {
      const { outage } = solveBasin(aLoop({ changes: { 'sump.box.widthM': widthM } })).sump
      expect(outage!.marginM).toBeGreaterThanOrEqual(last)
      last = outage!.marginM
    }
  })

  test('running at the line leaves the margin, and a little more is said', () => {
    const design = aLoop({ changes: { 'sump.box.widthM': 0.2 } })
    const { outage } = solveBasin(design).sump
    const last = design.sump.chambers.length - 1
    const at = (levelM: number) =>
      solveBasin(
        aLoop({
          changes: { 'sump.box.widthM': 0.2, [`sump.chambers.${last}.levelM`]: levelM },
        }),
      )
    const kept = at(outage!.fillLineM!)
    // The higher sump makes the lift less and the flow more: a little more comes down.
    expect(Math.abs(kept.sump.outage!.marginM - design.sump.marginM)).toBeLessThan(3 * MM)
    expect(at(outage!.fillLineM! + 0.02).findings.map(({ code }) => code)).toContain(
      'above-fill-line',
    )
  })

  test('an outlet under water siphons down to its break hole, or its mouth', () => {
    const line = 'up 600 mm, elbow, left 300 mm, down 160 mm'
    const mouth = solveBasin(aLoop({ line })).sump.outage!.drainBack.siphonedM3
    const hole = solveBasin(
      aLoop({ line, changes: { 'returnSide.lines.0.end.breakDepthM': 0.03 } }),
    ).sump.outage!.drainBack.siphonedM3
    expect(mouth).toBeGreaterThan(hole)
    expect(hole).toBeGreaterThan(0)
    const held = solveBasin(aLoop({ line: `check, ${line}` })).sump.outage!
    expect(held.drainBack.siphonedM3).toBe(0)
    expect(held.withoutCheck!.marginM).toBeLessThan(held.marginM)
  })
})

describe('findings of the way down', () => {
  const codesOf = (design: BasinDesign) => solveBasin(design).findings.map(({ code }) => code)

  test('a whole loop is held: pipes and outage are fine', () => {
    const codes = codesOf(aLoop())
    expect(codes).toContain('blocked-pipe-held')
    expect(codes).toContain('outage-held')
  })
  test.each<[string, string, Record<string, unknown>]>([
    [
      'weir-too-short',
      'a short smooth rim',
      { 'tanks.0.overflow.teeth': null, 'tanks.0.overflow.rimLengthM': 0.05 },
    ],
    ['teeth-drowned', 'a short toothed rim', { 'tanks.0.overflow.rimLengthM': 0.06 }],
    ['lets-animals-through', 'a small animal', { 'tanks.0.overflow.keepsInM': 0.003 }],
    [
      'skimmer-depth',
      'a skimmer that wants less',
      { 'sump.chambers.1.wantsDepth': { leastM: 0.05, mostM: 0.1 } },
    ],
    ['light-leaks', 'a lit refugium', {}],
    [
      'runs-dry-soon',
      'a thirsty room',
      {
        'sump.evaporationMmPerDay': 30,
        'returnSide.pumps.0.inletHeightM': 0.1,
        'sump.topOff': null,
      },
    ],
    ['wall-below-next', 'a low first wall', { 'sump.walls.0.topM': 0.05 }],
    ['sump-too-small', 'a low sump', { 'sump.marginM': 0.36 }],
    ['vented-loud', 'a standpipe in the siphon’s place', { 'drains.0.role': 'vented' }],
  ])('%s: %s', (code, _, changes) => {
    expect(codesOf(aLoop({ changes }))).toContain(code)
  })

  test('a tempered panel is refused, and holes too near are said', () => {
    const bulkhead = BULKHEADS.find(({ size }) => size === '1 in')!
    const at = { id: 'h', panel: 'back', alongM: 0.5, upM: 0.3, bulkhead }
    const hole = { ...at, glass: 'tempered' }
    expect(codesOf(aLoop({ changes: { 'tanks.0.overflow.holes': [hole] } }))).toContain(
      'tempered-panel',
    )
    const near = { ...hole, glass: 'plain', upM: 0.03 }
    expect(codesOf(aLoop({ changes: { 'tanks.0.overflow.holes': [near] } }))).toContain(
      'hole-too-near',
    )
  })

  test('a hung box in which the water creeps loses its prime', () => {
    const slow = aLoop({
      form: 'hung-box',
      changes: { 'tanks.0.overflow.passage.boreM': 0.05, 'tanks.0.overflow.passage.count': 3 },
    })
    const finding = solveBasin(slow).findings.find(({ code }) => code === 'hung-loses-prime')
    expect(finding?.severity).toBe('stop')
    expect(solveBasin(slow).overflows[0]!.froude!).toBeLessThan(0.5)
  })

  test('a box without a drain is a stop', () => {
    expect(codesOf({ ...aLoop(), drains: [] })).toContain('box-without-drain')
  })

  test('every fix that is offered applies and takes its finding away or makes it less', () => {
    const design = aLoop({ changes: { 'tanks.0.overflow.rimLengthM': 0.06 } })
    const fixes = fixesOf(design, 'teeth-drowned')
    expect(fixes).toHaveLength(1)
    const [edit] = fixes[0]!.edits
    const longer = aLoop({
      changes: { 'tanks.0.overflow.rimLengthM': edit!.op === 'set' ? edit!.to : 0 },
    })
    expect(codesOf(longer)).not.toContain('teeth-drowned')
  })
})

test('a pump that draws from a walled-off chamber starves it', () => {
  const design = aLoop()
  const pump = {
    ...design.returnSide.pumps[0]!,
    id: 'second',
    chamberId: design.sump.chambers[1]!.id,
    speed: 1,
  }
  const line = {
    ...design.returnSide.lines[0]!,
    id: 'loop',
    start: { at: 'pump' as const, id: 'second' },
    run: { ...design.returnSide.lines[0]!.run, pieces: [] },
    end: {
      at: 'chamber' as const,
      id: design.sump.chambers.at(-1)!.id,
      place: null,
      breakDepthM: null,
    },
    wantedFlowM3PerS: 400 * L_PER_H,
  }
  const solved = solveBasin({
    ...design,
    returnSide: {
      ...design.returnSide,
      pumps: [...design.returnSide.pumps, pump],
      lines: [...design.returnSide.lines, line],
    },
  })
  expect(solved.findings.map(({ code }) => code)).toContain('chamber-starved')
})
