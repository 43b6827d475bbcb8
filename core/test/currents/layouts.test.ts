import { describe, expect, test } from '@jest/globals'
import { aLoop } from '../a-loop.ts'
import { aCirculation, aRock, aDomain, JET_PART, seeded, SLOT_PART } from './a-domain.ts'
import { solveBasin } from '../../src/basin/solve.ts'
import { nearestPosition, positionFault } from '../../src/currents/mounting-position.ts'
import { howMany, updatesOfHowMany } from '../../src/currents/how-many.ts'
import { gridOf, waterCells } from '../../src/currents/grid.ts'
import { shareMoved } from '../../src/currents/judge.ts'
import { placePumps, samplesOf } from '../../src/currents/place-pumps.ts'
import { envelopeOf, reaches, reachOf } from '../../src/currents/quick-look.ts'
import { ROCK_LAYOUTS, rockLayout } from '../../src/currents/rock-layouts.ts'
import { domainMark } from '../../src/currents/domain-mark.ts'
import { lastWay, domainOf } from '../../src/currents/flow-domain.ts'
import { START_NAMES, startLayout } from '../../src/currents/starts.ts'
import { aimedAt, openingOf, pumpStream, towardsOf } from '../../src/currents/streams.ts'
import { momentumOf } from '../../src/jet/jet.ts'
import { isInside, type RockSolid, solidVolumeM3 } from '../../src/scene/rock.ts'
import type { CirculationPump } from '../../src/scene/scene.ts'

const FLOOR = { lengthM: 0.9, widthM: 0.4 }
let n = 0
const newId = () => `id-${++n}`

describe('a pump on a panel', () => {
  test.each([
    ['left', { x: 0.08, y: 0.2 }, { x: 1, y: 0 }],
    ['right', { x: 0.82, y: 0.2 }, { x: -1, y: 0 }],
    ['front', { x: 0.2, y: 0.08 }, { x: 0, y: 1 }],
    ['back', { x: 0.2, y: 0.32 }, { x: 0, y: -1 }],
  ] as const)('%s stands off it and looks in', (panel, at, way) => {
    const pump = aCirculation({ panel })
    const opening = openingOf(pump, FLOOR)
    expect(opening.x).toBeCloseTo(at.x, 9)
    expect(opening.y).toBeCloseTo(at.y, 9)
    const towards = towardsOf(pump)
    expect(towards.x).toBeCloseTo(way.x, 9)
    expect(towards.y).toBeCloseTo(way.y, 9)
  })
  test('aimed at a place looks at it', () => {
    const pump = aCirculation({ panel: 'right' })
    const from = openingOf(pump, FLOOR)
    const at = { x: 0.1, y: 0.35, z: 0.1 }
    const aimed = towardsOf({ ...pump, ...aimedAt('right', from, at) })
    const far = Math.hypot(at.x - from.x, at.y - from.y, at.z - from.z)
    expect(aimed.x).toBeCloseTo((at.x - from.x) / far, 9)
    expect(aimed.y).toBeCloseTo((at.y - from.y) / far, 9)
    expect(aimed.z).toBeCloseTo((at.z - from.z) / far, 9)
  })
  test('at half speed has half the flow and a quarter of the momentum', () => {
    const full = pumpStream(aCirculation(), FLOOR)
    const half = pumpStream(aCirculation({ speed: 0.5 }), FLOOR)
    expect(half.flowM3PerS).toBeCloseTo(full.flowM3PerS / 2, 12)
    expect(momentumOf(half.jet)).toBeCloseTo(momentumOf(full.jet) / 4, 12)
  })
  test('of one speed knows no patterns but on and off', () => {
    const part = { ...JET_PART, control: 'fixed-speed' } as const
    const kindOf = (kind: 'alternate' | 'pulse') => {
      const pattern = { kind, periodS: 5, low: 0, group: 'first' } as const
      return pumpStream(aCirculation({ part, pattern }), FLOOR).pattern?.kind ?? null
    }
    expect(kindOf('alternate')).toBeNull()
    expect(kindOf('pulse')).toBe('pulse')
  })
})

describe('a mounting position', () => {
  const fault = (changes: Partial<CirculationPump>, rocks: readonly RockSolid[] = []) =>
    positionFault(aCirculation(changes), aDomain([], { rocks }))
  test('in free water is right', () => {
    expect(fault({})).toBeNull()
  })
  test('in a rock, out of the water or in the sand is not', () => {
    const rock = aRock({ xM: 0, yM: 0, widthM: 0.4, heightM: 0.35 })
    expect(fault({}, [rock])).toEqual({ kind: 'in-rock', rockId: 'rock' })
    expect(fault({ upM: 0.37 })).toEqual({ kind: 'draws-air' })
    expect(fault({ upM: 0.06 })).toEqual({ kind: 'in-sand' })
  })
  test.each([
    [0.02, 0.2, 'left', 0.2],
    [0.95, 0.3, 'right', 0.3],
    [0.5, 0.01, 'front', 0.5],
    [0.5, 0.5, 'back', 0.5],
    [0.01, 0.6, 'left', 0.355],
  ] as const)('nearest to %d, %d is on the %s', (x, y, panel, alongM) => {
    expect(nearestPosition(FLOOR, JET_PART, x, y)).toEqual({ panel, alongM })
  })
  test('along a panel that became shorter stays on it', () => {
    expect(openingOf(aCirculation({ alongM: 3 }), FLOOR).y).toBe(0.4)
  })
})

describe('the quick look', () => {
  test('runs to the far panel, or to the rock before it', () => {
    const free = reaches(aDomain())[0]!
    expect(free.meets).toBe('panel')
    expect(free.lengthM).toBeCloseTo(0.82, 2)
    const met = reaches(aDomain(undefined, { rocks: [aRock({ heightM: 0.35 })] }))[0]!
    expect([met.meets, met.rockId]).toEqual(['rock', 'rock'])
    expect(met.lengthM).toBeCloseTo(0.27, 2)
    expect(met.endMPerS).toBeGreaterThan(free.endMPerS)
  })
  test.each([
    ['surface', 40],
    ['sand', -40],
  ] as const)('finds the %s', (meets, tiltDeg) => {
    const domain = aDomain([aCirculation({ tiltDeg })])
    expect(reachOf(domain, 'pump', domain.streams[0]!.jet).meets).toBe(meets)
  })
  test('widens on its way', () => {
    const widths = envelopeOf(reaches(aDomain())[0]!).map(({ halfM }) => halfM)
    expect(widths).toEqual([...widths].sort((a, b) => a - b))
    expect(widths.at(-1)).toBeCloseTo(0.107 * 0.82, 2)
  })
})

describe('a start', () => {
  test.each(START_NAMES)('%s stands in the water, clear of its surface and sand', (name) => {
    const domain = aDomain([], { rocks: rockLayout('wall', aDomain(), newId) })
    const part = name === 'cross-flow' ? SLOT_PART : JET_PART
    const { pumps, reason } = startLayout(name, domain, part, newId)
    expect(pumps).toHaveLength(
      {
        one: 1,
        'one-forward': 1,
        'two-facing': 2,
        'two-offset': 2,
        'two-behind': 2,
        four: 4,
        'four-offset': 4,
        'cross-flow': 1,
      }[name],
    )
    expect(reason.length).toBeGreaterThan(40)
    for (const pump of pumps) {
      expect(pump.upM).toBeGreaterThan(domain.sandDepthM)
      expect(pump.upM + pump.part.bodyM / 2).toBeLessThan(domain.depthM)
      const { x, y, z } = openingOf(pump, domain)
      expect(domain.rocks.some((rock) => isInside(rock, x, y, z))).toBe(false)
    }
  })
  test('offset: high and forward at one end, low and toward the rock at the other, fours mirrored', () => {
    const domain = aDomain()
    const [high, low] = startLayout('two-offset', domain, JET_PART, newId).pumps
    expect(high!.panel).not.toBe(low!.panel)
    expect(high!.upM).toBeGreaterThan(low!.upM)
    expect(high!.alongM).toBeLessThan(low!.alongM)
    const { pumps } = startLayout('four-offset', domain, JET_PART, newId)
    const places = (panel: string) =>
      pumps.filter((pump) => pump.panel === panel).map(({ alongM, upM }) => [alongM, upM])
    expect(places('left')).toEqual(places('right'))
  })
  test('goes over a rock that stands in its way', () => {
    const rock = aRock({ xM: 0.3, yM: 0, lengthM: 0.3, widthM: 0.4, heightM: 0.3 })
    const domain = aDomain([], { rocks: [rock] })
    const [pump] = startLayout('one', domain, { ...JET_PART, bodyM: 0.04 }, newId).pumps
    expect(reachOf(domain, 'x', pumpStream(pump!, domain).jet).meets).toBe('panel')
  })
})

test.each(ROCK_LAYOUTS)(
  'the rock layout %s lies in the tank and leaves most of it free',
  (name) => {
    const domain = aDomain()
    const rocks = rockLayout(name, domain, newId)
    for (const rock of rocks) {
      expect(rock.xM + rock.lengthM).toBeLessThanOrEqual(domain.lengthM)
      expect(rock.yM + rock.widthM).toBeLessThanOrEqual(domain.widthM)
      expect(rock.zM + rock.heightM).toBeLessThan(domain.depthM)
    }
    const taken = rocks.reduce((sum, rock) => sum + solidVolumeM3(rock), 0)
    expect(taken).toBeLessThan(0.35 * 0.9 * 0.4 * 0.36)
  },
)

describe('the domain of a solved basin', () => {
  const design = aLoop()
  const solved = solveBasin(design)
  const domain = domainOf(design, solved, 0)
  test('has the network’s own flow at the line’s end', () => {
    const [nozzle] = domain.streams
    expect(nozzle!.from).toBe('nozzle')
    expect(nozzle!.flowM3PerS).toBe(solved.returnSide.lines[0]!.flowM3PerS)
    expect(nozzle!.jet.exitSpeedMPerS).toBe(solved.returnSide.lines[0]!.exitSpeedMPerS)
  })
  test('has the overflow’s box and where water leaves before it', () => {
    expect(domain.box!.toZ).toBeCloseTo(domain.depthM, 9)
    expect(domain.mouth!.fromX).toBeLessThan(domain.box!.fromX)
    expect(domain.mouth!.toZ).toBeCloseTo(domain.depthM, 9)
  })
  test('follows the keeper’s turn of the line’s end', () => {
    const lineId = design.returnSide.lines[0]!.id
    const [tank] = design.tanks
    const scene = { ...tank!.scene, nozzles: [{ lineId, turnDeg: 90, tiltDeg: 0 }] }
    const turned = domainOf({ ...design, tanks: [{ ...tank!, scene }] }, solved, 0)
    expect(turned.streams[0]!.jet.towards.y).toBeCloseTo(1, 9)
  })
  test('points down where no piece leads anywhere', () => {
    expect(lastWay({ pieces: [] })).toEqual({ x: 0, y: 0, z: -1 })
  })
  test('has a mark that changes with what turns the water, and with nothing else', () => {
    const mark = domainMark(domain, 'coarse')
    const ranges = domain.ranges.map((range) => ({ ...range, leastMPerS: 0.01 }))
    expect(domainMark({ ...domain, ranges }, 'coarse')).toBe(mark)
    expect(domainMark({ ...domain, sandDepthM: 0.07 }, 'coarse')).not.toBe(mark)
    expect(domainMark({ ...domain, rocks: [aRock()] }, 'coarse')).not.toBe(mark)
    expect(domainMark(domain, 'fine')).not.toBe(mark)
  })
})

test('places searched for a badly placed pump are better, by the field', () => {
  const bad = aCirculation({ alongM: 0.05, upM: 0.1, turnDeg: -70, speed: 0.3 })
  const domain = aDomain([bad], { rocks: [aRock({ zone: 'small-polyp' })] })
  const progress: number[] = []
  const found = placePumps(domain, [bad], seeded(), (done, of) => progress.push(done / of))!
  expect(found.best.length).toBeGreaterThan(0)
  expect(found.best[0]!.score).toBeGreaterThan(found.before.score)
  expect(found.best[0]!.verdict.deadShare).toBeLessThan(found.before.verdict.deadShare)
  expect(Math.max(...progress)).toBeLessThanOrEqual(1)
  expect(placePumps(aDomain([]), [], seeded())).toBeNull()
})

test('without rock and sand a search goes by how much of the water moves', () => {
  expect(shareMoved({ zones: [], deadShare: 0.3 })).toBeCloseTo(0.7, 12)
  const bare = aDomain([], { rocks: [], sandDepthM: 0 })
  const grid = gridOf(bare, 'coarse')
  const samples = samplesOf(grid, bare)
  expect(samples.length).toBeGreaterThan(waterCells(grid).length / 10)
  for (const { least, most } of samples) expect([least, most]).toEqual([0.02, Infinity])
  const rocky = aDomain([], { rocks: [aRock()] })
  expect(samplesOf(gridOf(rocky, 'coarse'), rocky)[0]!.most).toBeLessThan(Infinity)
})

test('of one, two and four pumps the fewest that are enough are named', () => {
  const domain = aDomain([], { rocks: [aRock()] })
  const progress: number[] = []
  const newId = () => `p-${++n}`
  const { tried, enough } = howMany(domain, JET_PART, newId, (done, of) => progress.push(done / of))
  expect(tried.map(({ start }) => start.pumps.length)).toEqual([1, 2, 4])
  expect(tried.map(({ powerW }) => powerW / JET_PART.powerW)).toEqual([1, 2, 4])
  if (enough) expect(enough.verdict.deadShare).toBeLessThanOrEqual(0.1)
  else for (const { verdict } of tried) expect(verdict.deadShare).toBeGreaterThan(0.05)
  expect(progress.at(-1)).toBe(1)
  expect(updatesOfHowMany(domain, JET_PART)).toBeGreaterThan(3 * 9000)
})
