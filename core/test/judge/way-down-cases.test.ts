import { aHungBox, aLoop, NARROW_EMERGENCY } from '../a-loop.ts'
import { LOOP } from '../a-treated-loop.ts'
import { pieces } from '../a-basin.ts'
import { type Changes, withChanges } from '../changes.ts'
import { DEEP, withTakeoff } from '../a-takeoff.ts'
import { allDrills, drillVerdict, lastWord, say, solveBasin, steadyState } from '../../src/index.ts'
import { simulateDrill } from '../../src/lab.ts'
import { DRAIN_SCHOOLS } from '../../src/editing/index.ts'
import { describe, expect, test } from '@jest/globals'

const [SIPHON, , EMERGENCY] = LOOP.drains
const solved = (changes: Changes) => solveBasin(withChanges(LOOP, changes))
const found = (changes: Changes, code: string) =>
  solved(changes).findings.filter((finding) => finding.code === code)
/** The emergency's pieces with one more behind them. */
const emergencyWith = (piece: object): Changes => ({
  'drains.2.run.pieces': [...EMERGENCY!.run.pieces, piece] as never,
})

describe('case 3: what runs over now is said, with what holds it back', () => {
  test('a rim that is too short under the tank’s own', () => {
    const { overflows, findings } = solved({ 'tanks.0.rimM': 0.445 })
    const [overflow] = overflows
    expect(overflow!.runsOver!.at).toBe('teeth')
    expect(overflow!.runsOver!.capacityM3PerS).toBeLessThan(overflow!.flowM3PerS)
    expect(findings.find(({ code }) => code === 'runs-over-now')!.severity).toBe('stop')
  })
  test('one drain with its valve nearly shut', () => {
    const pieces = SIPHON!.run.pieces.map((piece) =>
      piece.kind === 'valve' ? { ...piece, opening: 0.1 } : piece,
    )
    const drains = [{ ...SIPHON!, run: { ...SIPHON!.run, pieces } }]
    const { overflows } = solved({ drains })
    expect(overflows[0]!.runsOver).toMatchObject({ drainId: SIPHON!.id, at: 'valve' })
  })
  test('tubes that are too narrow, with what they pass and not what the rim would', () => {
    const hung = withChanges(aHungBox(), { 'tanks.0.overflow.passage.boreM': 0.012 })
    const [overflow] = solveBasin(hung).overflows
    expect(overflow!.runsOver!.at).toBe('passage')
    expect(overflow!.runsOver!.capacityM3PerS).toBeLessThan(overflow!.flowM3PerS)
    expect(overflow!.runsOver!.capacityM3PerS).toBeLessThan(overflow!.tankSpillsM3PerS)
  })
  test('nothing is said where everything passes', () => {
    expect(found({}, 'runs-over-now')).toEqual([])
  })
})

describe('case 5: an emergency that its own making holds back', () => {
  const shut = { id: 'gate', kind: 'valve', form: 'ball', opening: 0, kvM3PerH: null }
  test.each([
    ['shut', shut],
    ['part open', { ...shut, opening: 0.6 }],
  ])('a valve in it, %s', (_, valve) => {
    const [finding] = found(emergencyWith(valve), 'emergency-not-sure')
    expect(finding).toMatchObject({ severity: 'stop', pieceId: 'gate' })
  })
  test('full open it is as good as a union', () => {
    expect(found(emergencyWith({ ...shut, opening: 1 }), 'emergency-not-sure')).toEqual([])
  })
  test('a stretch that rises', () => {
    const typed =
      'down 300 mm, elbow, right 100 mm, elbow, up 40 mm, elbow, right 50 mm, elbow, down 300 mm'
    const changes: Changes = { 'drains.2.run.pieces': pieces(typed) }
    expect(solved(changes).drains[2]!.emergency!.faults).toContain('stretch-rises')
    expect(solved(changes).drains[2]!.emergency!.risePrimedM).toBeNull()
    expect(found(changes, 'emergency-not-sure').length).toBeGreaterThan(0)
  })
  test('an end deep under water', () => {
    const [finding] = found({ 'sump.chambers.5.levelM': 0.37 }, 'emergency-not-sure')
    expect(finding!.severity).toBe('stop')
    const { emergency } = solved({ 'sump.chambers.5.levelM': 0.37 }).drains[2]!
    expect(emergency!.faults).toEqual(['end-too-deep'])
    expect(emergency!.primedAtRimM3PerS).toBe(0)
  })
})

describe('case 6: a siphon that does not start again', () => {
  test('its end too deep', () => {
    const [finding] = found({ 'sump.chambers.5.levelM': 0.37 }, 'siphon-may-not-start')
    const start = solved({ 'sump.chambers.5.levelM': 0.37 }).drains[0]!.startsAgain!
    expect(start.byEnd).not.toBe('yes')
    expect(start.byFroude).toBe('yes')
    expect(finding).toBeDefined()
  })
  test('as it is laid, it does', () => {
    expect(found({}, 'siphon-may-not-start')).toEqual([])
  })
})

describe('case 8: two pipes that join, and a level sensor', () => {
  const TRICKLE = LOOP.drains[1]!
  // A narrow emergency that both blocked together leave to itself.
  const joined = (sensorM: number | null): Changes => ({
    'tanks.0.overflow.sensorM': sensorM,
    drains: [
      {
        ...SIPHON!,
        run: {
          ...SIPHON!.run,
          pieces: SIPHON!.run.pieces.toSpliced(2, 0, { id: 'join', kind: 'tee', form: 'side' }),
        },
      },
      {
        ...TRICKLE,
        run: { ...TRICKLE.run, pieces: TRICKLE.run.pieces.slice(0, 2) },
        end: { at: 'tee', id: 'join', landing: 'open' },
      },
    ],
  })
  const said = (sensorM: number | null) => {
    const [finding] = found(joined(sensorM), 'joined-drains')
    return { severity: finding!.severity, reason: JSON.stringify(finding!.reason) }
  }
  test('without one it is a stop', () => {
    expect(said(null)).toMatchObject({ severity: 'stop' })
  })
  test('with one nothing is said to carry the flow: a sensor is all there is', () => {
    const { severity, reason } = said(0.45)
    expect(severity).toBe('watch')
    expect(reason).toMatch(/only the level sensor/)
    expect(reason).not.toMatch(/still carries the flow/)
  })
})

describe('case 7: fine is a promise', () => {
  const said = (changes: Changes) => found(changes, 'blocked-pipe-held')[0]!.severity
  test('an emergency that carries it all only running full makes it a watch', () => {
    expect(found(NARROW_EMERGENCY, 'emergency-only-full').length).toBe(1)
    expect(said(NARROW_EMERGENCY)).toBe('watch')
  })
  test('one whose open mouth is enough lets it be fine', () => {
    const wide: Changes = {
      'drains.2.run.size': { series: 'pn-16', size: '63', boreM: null },
    }
    expect(found(wide, 'emergency-only-full')).toEqual([])
    expect(said(wide)).toBe('fine')
  })
})

describe('case 11: what lays a drain asks what judges it', () => {
  test.each(DRAIN_SCHOOLS.filter(({ school }) => school !== 'vented-standpipe'))(
    'a school laid by the app has no stop: $school',
    ({ school }) => {
      const { findings } = solveBasin(aLoop({ school }))
      const ofDrains = findings.filter(({ station }) => station === 'drains')
      expect(ofDrains.filter(({ severity }) => severity === 'stop')).toEqual([])
    },
  )
})

describe('case 11: what judges a drain asks the emergency’s own law', () => {
  test('a blocked siphon leaves the water where its emergency takes it all', () => {
    const { overflows, drains } = solved({})
    const row = overflows[0]!.blocked.find(({ drainIds }) => drainIds[0] === SIPHON!.id)!
    const { emergency } = drains[2]!
    // The trickle beside it takes its share, so the water stands no higher than the emergency alone would have it.
    const needsM = EMERGENCY!.inlet.place.zM + emergency!.riseNeededM!
    expect(row.boxM!).toBeLessThanOrEqual(needsM + 1e-3)
    expect(row.carries).toBe(true)
  })
  test('more rim over its inlet never makes its verdict worse', () => {
    const rank = { fine: 2, watch: 1, stop: 0 } as const
    const verdict = (changes: Changes) => rank[solved(changes).drains[2]!.emergency!.verdict]
    const ranks = [0.445, 0.47, 0.5, 0.56, 0.62, 0.7].map((rimM) =>
      verdict({ 'tanks.0.rimM': rimM, 'tanks.0.heightM': 0.8 }),
    )
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b))
    expect(ranks[0]).toBeLessThan(ranks.at(-1)!)
  })
})

describe('case 4: a vented pipe carries what its narrowest passes', () => {
  test('a third of it, and no more, in the steady state and in a drill', () => {
    const design = aLoop({ school: 'vented-emergency' })
    const [vented] = solveBasin(design).drains
    const most = vented!.vented!.mostM3PerS
    expect(vented!.flowM3PerS).toBeLessThanOrEqual(most * (1 + 1e-9))
    const narrow = withChanges(design, {
      'drains.0.run.size': { series: 'smooth-hose', size: '25', boreM: null },
    })
    const { drains, findings } = solveBasin(narrow)
    expect(drains[0]!.flowM3PerS).toBeCloseTo(drains[0]!.vented!.mostM3PerS, 12)
    expect(findings.map(({ code }) => code)).toContain('vented-loud')
    const steady = steadyState(narrow)
    const shut = allDrills(steady).find(({ id }) => id.startsWith('shut'))!
    const { moments, plant } = simulateDrill(steady, shut, { keepsMoments: true })
    expect(plant.steady).toBe(steady)
    for (const { drainFlows } of moments) {
      expect(drainFlows[0]!).toBeLessThanOrEqual(drains[0]!.vented!.mostM3PerS * (1 + 1e-9))
    }
  })
})

describe('case 7: one tube of a hung box for more than it passes', () => {
  test('is a stop that names it, and no drill of it is called fine', () => {
    const design = aLoop({
      form: 'hung-box',
      changes: {
        'tanks.0.overflow.passage': { kind: 'siphon', count: 1, boreM: 0.025, lengthM: 0.6 },
      },
    })
    const { findings } = lastWord.solveWithLastWord(design)
    const over = findings.find(({ code }) => code === 'runs-over-now')!
    expect(over.severity).toBe('stop')
    expect(findings.map(({ code }) => code)).not.toContain('blocked-pipe-held')
  })
  test('a drill whose log says that the pump draws air is no green one', () => {
    const steady = steadyState(LOOP)
    for (const drill of allDrills(steady)) {
      const { drewAirAtS, outcome } = drillVerdict(steady, drill)
      if (drewAirAtS !== null) expect(outcome).not.toBe('dry')
    }
  })
  test('no freeboard at all is a stop', () => {
    const { findings, tanks } = solved({ 'tanks.0.rimM': 0.445 })
    expect(tanks[0]!.freeboardM).toBeLessThan(0.001)
    const stops = findings.filter(({ severity }) => severity === 'stop').map(({ code }) => code)
    expect(stops.some((code) => code === 'little-freeboard' || code === 'water-over-rim')).toBe(
      true,
    )
  })
})

describe('case 9: a pump that is stopped with a mouth under water', () => {
  const stopped = aLoop({
    line: 'up 600 mm, elbow, left 300 mm, down 60 mm',
    changes: { 'returnSide.pumps.0.stopped': true },
  })
  test('is a state that ends on the floor, not one that has settled', () => {
    const { sump, findings } = lastWord.solveWithLastWord(stopped)
    expect(sump.outage!.stillM).toBeGreaterThan(stopped.sump.box!.floorHeightM)
    expect(sump.outage!.spills).toBe(true)
    expect(sump.outage!.fillLineM).toBeNull()
    const said = new Map(findings.map(({ code, severity }) => [code, severity]))
    expect(said.get('flows-back')).toBe('stop')
    expect(said.get('sump-too-small')).toBe('stop')
    expect(said.get('blocked-pipe-held') ?? 'stop').toBe('stop')
  })
})

describe('case 12: steady state and drill speak in one sentence', () => {
  const design = aLoop({ line: 'check, up 600 mm, elbow, left 300 mm, down 60 mm' })
  test('what ends wet is said once, as its drill says it', () => {
    const steady = steadyState(design)
    const drill = allDrills(steady).find(({ id }) => id.startsWith('check-open'))!
    const verdict = drillVerdict(steady, drill)
    const { findings } = lastWord.solveWithLastWord(design)
    const { title } = findings.find(({ code }) => code === 'check-valve-only-guard')!
    expect(say(title, 'metric')).toBe(
      `${say(verdict.title, 'metric')}: ${say(verdict.said, 'metric')}`,
    )
  })
  test('each drill has the margin of what rises in it, not of what always stands near a rim', () => {
    const steady = steadyState(LOOP)
    const margins = allDrills(steady)
      .map((drill) => drillVerdict(steady, drill))
      .filter(({ outcome }) => outcome === 'dry')
      .map(({ marginM, tightestId }) => `${tightestId} ${marginM.toFixed(6)}`)
    expect(new Set(margins).size).toBeGreaterThan(margins.length / 3)
  })
})

describe('what the drills allow for', () => {
  test('a tank’s waves and its being out of level come off its margins', () => {
    const steady = steadyState(LOOP)
    const calm = steadyState(
      withChanges(LOOP, { 'allowances.wavesM': 0, 'allowances.outOfLevelM': 0 }),
    )
    const blocked = allDrills(steady).find(({ id }) => id.startsWith('blocked'))!
    const left = drillVerdict(calm, blocked).marginM - drillVerdict(steady, blocked).marginM
    expect(left).toBeCloseTo(0.013, 6)
  })
  test('a leak drips away and the top-off hides it; a hose off puts its water on the floor', () => {
    const steady = steadyState(
      withChanges(LOOP, {
        'sump.topOff': { flowM3PerS: 2.8e-5, canM3: 0.02, runLimitS: null },
        'allowances.topOffTubeSiphons': true,
      }),
    )
    const verdicts = new Map(
      allDrills(steady).map((drill) => [drill.id, drillVerdict(steady, drill)]),
    )
    const leak = verdicts.get('leak-line')!
    expect(leak.outcome).toBe('watch')
    expect(leak.leakedM3).toBeGreaterThan(0.02)
    expect(leak.salinityPpt).toBeLessThan(leak.startSalinityPpt)
    const takeoff = steadyState(withTakeoff(`up 300 mm, tee, ${DEEP}`, 'p2'))
    const hose = allDrills(takeoff).find(({ id }) => id === 'hose takeoff')!
    expect(drillVerdict(takeoff, hose).spilledFrom.map(({ name }) => name)).toContain(
      'end outside the tanks',
    )
    const siphoned = verdicts.get('top-off-siphons')!
    expect(siphoned.salinityPpt).toBeLessThan(siphoned.startSalinityPpt)
  })
  test('rock lifted out leaves room: the tank stops running over, and the sump gives', () => {
    const steady = steadyState(LOOP)
    const rock = allDrills(steady).find(({ id }) => id.startsWith('rock'))!
    const { faults } = rock
    const fault = faults[0]!.fault as { volumeM3: number }
    expect(fault.volumeM3).toBeCloseTo(0.25 * (20 / 2000), 9)
    const { vessels } = drillVerdict(steady, rock)
    const tank = vessels.find(({ kind }) => kind === 'tank')!
    expect(tank.highestM - tank.lowestM).toBeCloseTo(fault.volumeM3 / 0.5, 3)
  })
})
