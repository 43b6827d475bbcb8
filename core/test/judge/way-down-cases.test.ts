import { aHungBox } from '../a-loop.ts'
import { LOOP } from '../a-treated-loop.ts'
import { pieces } from '../a-basin.ts'
import { type Changes, withChanges } from '../changes.ts'
import { solveBasin } from '../../src/index.ts'
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
    expect(found({}, 'emergency-only-full').length).toBe(1)
    expect(said({})).toBe('watch')
  })
  test('one whose open mouth is enough lets it be fine', () => {
    const wide: Changes = {
      'drains.2.run.size': { series: 'pn-16', size: '63', boreM: null },
    }
    expect(found(wide, 'emergency-only-full')).toEqual([])
    expect(said(wide)).toBe('fine')
  })
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
