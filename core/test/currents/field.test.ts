import { beforeAll, describe, expect, test } from '@jest/globals'
import { aCirculation, aRock, aDomain } from './a-domain.ts'
import { type DyeFrame, type DyeVerdict, simulateDye } from '../../src/currents/dye.ts'
import { gridsApart, isOfWanted, verdictsApart } from '../../src/currents/grids-apart.ts'
import { type FieldPlan, planField, updatesOf, workOf } from '../../src/currents/field-plan.ts'
import { type Field, figureAt, motionAt } from '../../src/currents/field.ts'
import {
  cellAt,
  cellHolding,
  gridOf,
  PANEL,
  ROCK,
  SAND,
  WATER,
  waterCells,
} from '../../src/currents/grid.ts'
import { judgeField, shareAsWanted, tankTurnoverPerH } from '../../src/currents/judge.ts'
import { packedFieldFault, packField, unpackField } from '../../src/currents/pack-field.ts'
import { domainMark } from '../../src/currents/domain-mark.ts'
import { simulatePlan } from '../../src/currents/simulate-plan.ts'
import { simulateField, simulateFields, type Watched } from '../../src/currents/simulate-field.ts'
import { streamlines } from '../../src/currents/streamlines.ts'
import { roundJetAt } from '../../src/jet/round-jet.ts'

const NOZZLE_M3_PER_S = 5e-4

/** With a rock, a line that pours in at the right and an overflow that takes as much at the back. */
const domain = aDomain(undefined, {
  rocks: [aRock()],
  mouth: { fromX: 0.3, toX: 0.6, fromY: 0.37, toY: 0.4, fromZ: 0.36, toZ: 0.4 },
  streams: [
    ...aDomain().streams,
    {
      id: 'line',
      name: 'Line',
      from: 'nozzle',
      flowM3PerS: NOZZLE_M3_PER_S,
      pattern: null,
      jet: {
        from: { x: 0.8, y: 0.3, z: 0.35 },
        towards: { x: 0, y: 0, z: -1 },
        exitSpeedMPerS: NOZZLE_M3_PER_S / ((Math.PI / 4) * 0.025 ** 2),
        boreM: 0.025,
        slot: null,
      },
    },
  ],
})
let field: Field
const progress: number[] = []
beforeAll(() => {
  field = simulateField(planField(domain, 'coarse')!, (done, of) => progress.push(done / of))
})

test.each([
  [0.06, 6.5, 0.1],
  [0.045, 7, 0.15],
])(
  'the free round jet of %d m slows as its law from %d bores on, within %d of it',
  (boreM, past, within) => {
    const jet = { boreM, exitSpeedMPerS: 0.8 }
    const size = { lengthM: 0.9, widthM: 0.5, depthM: 0.5 }
    const from = { x: 0.06, y: 0.25, z: 0.25 }
    const stream = {
      ...aDomain().streams[0]!,
      jet: { ...jet, from, towards: { x: 1, y: 0, z: 0 }, slot: null },
    }
    const plan = planField(aDomain([], { ...size, sandDepthM: 0, streams: [stream] }), 'standard')!
    const free = simulateField({ ...plan, settleSteps: 3000, watchSteps: 450, begins: null })
    for (const bores of [6.5, 7, 8, 9, 10, 11, 12, 12.5].filter((far) => far >= past)) {
      const law = roundJetAt(jet, bores * jet.boreM).centrelineMPerS
      const { x } = motionAt(free, { ...from, x: from.x + bores * jet.boreM })
      expect([bores, Math.abs(x / law - 1) < within]).toEqual([bores, true])
    }
    expect(Math.abs(free.massDrift)).toBeLessThan(1e-6)
  },
)

describe('the grid', () => {
  const { grid } = planField(domain, 'coarse')!
  test('has sand, rock and water where they are', () => {
    const fillAt = (x: number, y: number, z: number) => grid.fill[cellHolding(grid, { x, y, z })]
    expect(fillAt(0.5, 0.2, 0.01)).toBe(SAND)
    expect(fillAt(0.5, 0.2, 0.1)).toBe(ROCK)
    expect(fillAt(0.5, 0.2, 0.3)).toBe(WATER)
  })
  test('holds the tank’s water within a few hundredths', () => {
    const water = waterCells(gridOf(domain, 'standard')).length
    const cellM3 = gridOf(domain, 'standard').cellM ** 3
    expect(water * cellM3).toBeCloseTo(0.9 * 0.4 * 0.36 - 0.3 * 0.2 * 0.11, 1)
  })
  test('is finer where it is asked to be', () => {
    const cells = (['coarse', 'standard', 'fine'] as const).map(
      (fineness) => waterCells(gridOf(domain, fineness)).length,
    )
    expect(cells).toEqual([...cells].sort((a, b) => a - b))
    expect(cells[2]! / cells[0]!).toBeGreaterThan(5)
  })
})

describe('a plan', () => {
  test('is none where nothing moves the water', () => {
    expect(planField(aDomain([]), 'coarse')).toBeNull()
  })
  test('takes longer for a weaker pump, in the tank’s time', () => {
    const seconds = (speed: number) => {
      const plan = planField(aDomain([aCirculation({ speed })]), 'coarse')!
      return plan.settleSteps * plan.stepS
    }
    expect(seconds(0.3)).toBeGreaterThan(2 * seconds(0.9))
  })
  test('sees a slow pattern whole, faster than set', () => {
    const slow = { kind: 'reversing', periodS: 600, low: 0, group: 'first' } as const
    const plan = planField(aDomain([aCirculation({ pattern: slow })]), 'coarse')!
    expect(plan.patternPace).toBeCloseTo(600 / (plan.watchSteps * plan.stepS), 1)
    expect(planField(domain, 'coarse')!.patternPace).toBe(1)
  })
  test('is work that can be estimated before', () => {
    const plan = planField(domain, 'coarse')!
    const own = plan.grid.fill.length * (plan.settleSteps + plan.watchSteps)
    expect(updatesOf(plan)).toBe(own)
    expect(updatesOf({ ...plan, begins: { ...plan, settleSteps: 0 } })).toBe(
      own + plan.grid.fill.length * plan.watchSteps,
    )
    const { ranS } = field
    expect(workOf(plan).tankS).toBeCloseTo(ranS, 9)
    expect(workOf({ ...plan, begins: plan }).tankS).toBeCloseTo(2 * ranS, 9)
  })
  test('of a finer grid begins with the water of the coarser, which forgets its rest and runs longer than a look', () => {
    const fine = planField(domain, 'fine')!
    expect([fine.begins!.fineness, fine.begins!.begins!.fineness]).toEqual(['standard', 'coarse'])
    const look = planField(domain, 'coarse')!
    expect(look.begins).toBeNull()
    const coarse = fine.begins!.begins!
    expect(coarse.begins).toBeNull()
    expect(coarse.settleSteps * coarse.stepS).toBeGreaterThan(3 * look.settleSteps * look.stepS)
    expect(coarse.watchSteps).toBeGreaterThan(3 * look.watchSteps)
  })
  test('watches whole turns of a pattern that goes into its time', () => {
    const turns = { kind: 'alternate', periodS: 7, low: 0, group: 'first' } as const
    const plan = planField(aDomain([aCirculation({ pattern: turns })]), 'standard')!
    const whole = (plan.watchSteps * plan.stepS) / 7
    expect(whole).toBeGreaterThan(1.9)
    expect(Math.abs(whole - Math.round(whole))).toBeLessThan(0.01)
    expect(plan.patternPace).toBe(1)
  })
})

describe('a field', () => {
  test('keeps its water to 1e-6 though some is poured in and as much leaves', () => {
    expect(Math.abs(field.massDrift)).toBeLessThan(1e-6)
  })
  test('tells how far it is, from zero to all', () => {
    expect(progress[0]).toBe(0)
    expect(progress.at(-1)).toBe(1)
    expect(progress).toEqual([...progress].sort((a, b) => a - b))
  })
  test('is fast before the pump, still in the rock, and never faster in the mean than at its peak', () => {
    expect(motionAt(field, { x: 0.25, y: 0.2, z: 0.28 }).x).toBeGreaterThan(0.3)
    expect(figureAt(field, 'speed', { x: 0.5, y: 0.2, z: 0.08 })).toBe(0)
    const wrong = waterCells(field.grid).filter((cell) => {
      const mean = Math.hypot(field.x[cell]!, field.y[cell]!, field.z[cell]!)
      return mean > field.speed[cell]! + 1e-6 || field.speed[cell]! > field.peak[cell]! + 1e-6
    })
    expect(wrong).toEqual([])
  })
  test('turns round: what goes right high up comes back somewhere', () => {
    const { grid } = field
    const x = Math.round(grid.waterX / 2)
    let across = 0
    for (let z = 1; z <= grid.waterZ; z++)
      for (let y = 1; y <= grid.waterY; y++) across += field.x[cellAt(grid, x, y, z)]!
    // what the line brings in at the right leaves at the back, half of it left of the middle
    const through = across * grid.cellM ** 2
    expect(Math.abs(through)).toBeLessThan(NOZZLE_M3_PER_S)
  })
})

test('begins with the water of the coarser grid: it turns from the first step on', () => {
  const before = planField(domain, 'coarse')!
  const plan = { ...planField(domain, 'standard')!, settleSteps: 0, watchSteps: 8, begins: before }
  const told: number[] = []
  const [coarse, standard] = simulateFields(plan, (done, of) => told.push(done / of)).map(
    (watched) => watched.field,
  )
  const meanOf = (one: Field) => judgeField(one, domain).meanMPerS
  expect(meanOf(standard!) / meanOf(coarse!)).toBeGreaterThan(0.8)
  expect(meanOf(standard!) / meanOf(coarse!)).toBeLessThan(1.2)
  expect(meanOf(simulateField({ ...plan, begins: null }))).toBeLessThan(0.2 * meanOf(coarse!))
  expect(told).toEqual(told.toSorted((a, b) => a - b))
  expect(told.at(-1)).toBe(1)
})

describe('the verdict', () => {
  test('shares of each zone’s faces add up', () => {
    const { zones } = judgeField(field, domain)
    expect(zones.map(({ zone }) => zone)).toEqual(['soft', 'sand'])
    for (const { inside, tooSlow, tooFast } of zones)
      expect(inside + tooSlow + tooFast).toBeCloseTo(1, 9)
  })
  test('the share of all faces weighs each by its area', () => {
    const { zones } = judgeField(field, domain)
    const [soft, sand] = zones
    const whole = soft!.areaM2 + sand!.areaM2
    const share = (soft!.inside * soft!.areaM2 + sand!.inside * sand!.areaM2) / whole
    expect(shareAsWanted({ zones })).toBeCloseTo(share, 12)
    expect(shareAsWanted({ zones: [] })).toBe(0)
  })
  test('follows what is wanted', () => {
    const wanted = (leastMPerS: number, mostMPerS: number) => {
      const ranges = domain.ranges.map((range) => ({ ...range, leastMPerS, mostMPerS }))
      return judgeField(field, { ...domain, ranges }).zones[0]!
    }
    expect(wanted(0, 2).inside).toBe(1)
    expect(wanted(1.9, 2).tooSlow).toBe(1)
    expect(wanted(0, 0).tooFast).toBe(1)
  })
  test('finds what is dead and where sand lifts, by the speeds that are given', () => {
    const all = judgeField(field, domain, { deadMPerS: 5, liftMPerS: 0 })
    expect(all.deadShare).toBe(1)
    expect(all.deadSpots).toHaveLength(1)
    expect(all.deadSpots[0]!.volumeM3).toBeCloseTo(all.waterM3, 9)
    expect(all.liftAreaM2).toBeGreaterThan(0.2)
    const none = judgeField(field, domain, { deadMPerS: 0, liftMPerS: 5 })
    expect(none.deadShare + none.liftAreaM2).toBe(0)
  })
  test.each([
    [0.5, 'enough'],
    [0.03, 'little'],
    [0.005, 'still'],
  ] as const)('says of a surface at %d m/s: %s', (mPerS, says) => {
    const speed = field.speed.map(() => mPerS)
    const { surfaceMPerS, surfaceSays } = judgeField({ ...field, speed }, domain)
    expect(surfaceMPerS).toBeCloseTo(mPerS, 6)
    expect(surfaceSays).toBe(says)
  })
  test('says of a bare floor how much of it waste settles on; of sand nothing', () => {
    expect(judgeField(field, domain).bareFloor).toBeNull()
    const fill = field.grid.fill.map((cell) => (cell === SAND ? PANEL : cell))
    const bare = { ...field, grid: { ...field.grid, fill } }
    const at = (mPerS: number) =>
      judgeField({ ...bare, peak: bare.peak.map(() => mPerS) }, domain).bareFloor!
    expect(at(0.2).settlesShare).toBe(0)
    expect(at(0.01).settlesShare).toBe(1)
    expect(at(0.01).spots[0]!.areaM2).toBeCloseTo(at(0.01).areaM2, 9)
  })
  test('has the pumps’ flow over the water as the rule of thumb beside it', () => {
    expect(tankTurnoverPerH(domain, 0.1)).toBeCloseTo(80, 9)
  })
})

test('two grids are as far apart as their shares and their mean speeds', () => {
  const verdict = judgeField(field, domain)
  expect(verdictsApart(verdict, verdict)).toEqual({ share: 0, mean: 0 })
  const [zone, ...others] = verdict.zones
  const off = { ...zone!, inside: zone!.inside - 0.08, tooSlow: zone!.tooSlow + 0.08 }
  const other = { ...verdict, zones: [off, ...others], meanMPerS: 0.97 * verdict.meanMPerS }
  const apart = verdictsApart(verdict, other)
  expect(apart.share).toBeCloseTo(0.08, 9)
  expect(apart.mean).toBeCloseTo(0.03, 9)
})

test('what halves of the watch differ by is left by half in their mean', () => {
  const as = (speed: Float32Array) => ({ ...field, speed })
  const still = field.speed.map(() => 0)
  const watched = (halves: readonly [Float32Array, Float32Array]) => ({ field, halves })
  const alike = gridsApart(watched([field.speed, field.speed]), watched([still, still]), domain)
  expect(alike).toMatchObject({ share: 0, mean: 0, wander: 0, isClose: true })
  const apart = gridsApart(watched([field.speed, still]), watched([still, still]), domain)
  const halves = verdictsApart(judgeField(field, domain), judgeField(as(still), domain))
  expect(apart.wander).toBeCloseTo(halves.share / 2, 9)
  expect(apart.wander).toBeGreaterThan(0.1)
  const off = gridsApart(
    watched([still, still]),
    { ...watched([still, still]), field: as(still) },
    domain,
  )
  expect(off.isClose).toBe(false)
})

test('ways of the water begin where they are set, stay in it and end', () => {
  const from = [
    { x: 0.25, y: 0.2, z: 0.28 },
    { x: 0.5, y: 0.2, z: 0.08 },
  ]
  const lines = streamlines(field, from, 0.4)
  expect(lines).toHaveLength(1)
  expect(lines[0]!.places[0]).toEqual(from[0])
  for (const at of lines[0]!.places)
    expect(field.grid.fill[cellHolding(field.grid, at)]).toBe(WATER)
  expect(lines[0]!.places.at(-1)!.x).toBeGreaterThan(0.5)
})

test('a plan that began with a coarser grid says how far it is from it, a look does not', () => {
  const brief = (plan: FieldPlan): FieldPlan => ({ ...plan, settleSteps: 16, watchSteps: 64 })
  const plan = planField(domain, 'standard')!
  const { apart, of } = simulatePlan({ ...brief(plan), begins: brief(plan.begins!) })
  expect(of).toBe(domainMark(domain, 'standard'))
  expect(isOfWanted(apart!, domain)).toBe(true)
  expect(apart!.share).toBeGreaterThan(0)
  expect(simulatePlan(brief(planField(domain, 'coarse')!)).apart).toBeNull()
})

describe('as bytes', () => {
  let alike: Watched
  beforeAll(() => {
    alike = { field, halves: [field.speed, field.speed] }
  })
  test('a field is read back as it was, within a step of what is kept', () => {
    const apart = gridsApart(alike, alike, domain)
    const bytes = packField({
      field: { ...field, rockIds: ['rock', 'Felsen – östlich'] },
      of: 'mark',
      apart,
    })
    const packed = unpackField(bytes)!
    expect(packed.of).toBe('mark')
    expect(packed.apart).toEqual(apart)
    expect(isOfWanted(packed.apart!, domain)).toBe(true)
    const rocks = domain.rocks.map((rock) => ({ ...rock, zone: 'large-polyp' as const }))
    expect(isOfWanted(packed.apart!, { ...domain, rocks })).toBe(false)
    expect(isOfWanted(packed.apart!, { ...domain, ranges: [] })).toBe(false)
    expect(packed.field.grid).toEqual(field.grid)
    expect(packed.field.passing).toEqual(field.passing)
    expect(packed.field.rockIds).toEqual(['rock', 'Felsen – östlich'])
    const off = (name: 'x' | 'peak') =>
      Math.max(...field[name].map((speed, cell) => Math.abs(speed - packed.field[name][cell]!)))
    expect(off('x')).toBeLessThan(1.3e-4)
    expect(off('peak')).toBeLessThan(1.3e-4)
  })
  test('bytes that are no field are refused', () => {
    const bytes = packField({ field, of: 'mark', apart: null })
    const broken = (change: (copy: Uint8Array) => void) => {
      const copy = bytes.slice()
      change(copy)
      return packedFieldFault(copy)
    }
    expect(packedFieldFault(bytes)).toBeNull()
    expect(packedFieldFault(new Uint8Array())).not.toBeNull()
    expect(packedFieldFault(bytes.slice(0, -1))).not.toBeNull()
    expect(broken((copy) => (copy[0] = 0))).not.toBeNull()
    expect(broken((copy) => (copy[4] = 255))).not.toBeNull()
    expect(broken((copy) => (copy[8] = 0))).not.toBeNull()
    const untold = {
      share: NaN,
      mean: 0,
      wander: 0,
      isClose: true,
      wanted: { ranges: [], zones: [] },
    }
    expect(packedFieldFault(packField({ field, of: 'mark', apart: untold }))).not.toBeNull()
  })
})

describe('a dye', () => {
  let verdict: DyeVerdict
  const frames: DyeFrame[] = []
  beforeAll(() => {
    verdict = simulateDye(field, { x: 0.1, y: 0.2, z: 0.28 }, (frame) => frames.push(frame))
  })
  test('is neither made nor lost, though part of it goes through the sump', () => {
    expect(Math.abs(verdict.drift)).toBeLessThan(1e-9)
  })
  test('spreads until nine tenths of the water are nearly even', () => {
    expect(frames[0]!.mixed).toBeLessThan(0.02)
    expect(frames.at(-1)!.mixed).toBeGreaterThan(0.9)
    expect(verdict.mixedS).toBeGreaterThan(2)
    expect(verdict.mixedS).toBeLessThan(200)
  })
  test('reaches some place last', () => {
    const [last, next] = verdict.lastReached
    expect(last!.timeS).toBeGreaterThanOrEqual(next!.timeS!)
    expect(last!.timeS).toBeLessThan(1.5 * verdict.mixedS!)
  })
})
