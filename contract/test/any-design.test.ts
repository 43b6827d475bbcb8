import { describe, expect, test } from '@jest/globals'
import {
  FIGURES,
  readNotation,
  solveBasin,
  workingOf,
  writeNotation,
  type BasinDesign,
} from '@yew-basin/core'
import fc from 'fast-check'
import { LIMITS, readBasinObject, SIZES, type Limit } from '../src/index.ts'
import { aFile } from './a-file.ts'

/** Numbers of a limit, its ends among them often. */
const within = ({ min, max }: Limit) =>
  fc.oneof(
    { weight: 4, arbitrary: fc.double({ min, max, noNaN: true }) },
    fc.constantFrom(min, max),
  )
const orNull = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary)

const size = fc
  .constantFrom(
    ...Object.entries(SIZES).flatMap(([series, sizes]) =>
      sizes.map((one) => ({ series, size: one })),
    ),
  )
  .chain((base) => orNull(within(LIMITS.bore)).map((boreM) => ({ ...base, boreM })))

const piece = fc.oneof(
  fc.record({
    kind: fc.constant('pipe'),
    direction: fc.constantFrom('up', 'down', 'left', 'right', 'front', 'back'),
    lengthM: within(LIMITS.pipeLength),
  }),
  fc.record({
    kind: fc.constant('elbow'),
    form: fc.constantFrom('standard-90', 'sweep-90', 'standard-45', 'hose-bend-90'),
  }),
  fc.record({ kind: fc.constant('union') }),
  fc.record({
    kind: fc.constant('valve'),
    form: fc.constantFrom('gate', 'ball'),
    opening: within(LIMITS.opening),
    kvM3PerH: orNull(within(LIMITS.kv)),
  }),
  fc.record({
    kind: fc.constant('valve'),
    form: fc.constant('diaphragm'),
    opening: fc.constantFrom(0, 1),
    kvM3PerH: fc.constant(null),
  }),
  fc.record({
    kind: fc.constant('check-valve'),
    form: fc.constantFrom('swing', 'spring'),
    kvM3PerH: orNull(within(LIMITS.kv)),
  }),
  fc.record({
    kind: fc.constant('reducer'),
    to: size,
    angleDeg: orNull(within(LIMITS.reducerAngle)),
  }),
  fc.record({ kind: fc.constant('bulkhead'), boreM: orNull(within(LIMITS.bore)) }),
  fc.record({ kind: fc.constant('nozzle'), boreM: within(LIMITS.bore) }),
)

const curve = fc
  .array(
    fc.tuple(
      fc.double({ min: 1e-6, max: 4e-3, noNaN: true }),
      fc.double({ min: 0, max: 5, noNaN: true }),
    ),
    { minLength: 1, maxLength: 9 },
  )
  .map((steps) => {
    let flowM3PerS = 0
    let headM = 60
    const points = [{ flowM3PerS, headM }]
    for (const [flow, head] of steps)
      points.push({
        flowM3PerS: (flowM3PerS += flow),
        headM: (headM = Math.max(0, headM - head - 0.001)),
      })
    return points
  })
const pump = fc.record({
  curve: fc.oneof(curve, fc.constant([])),
  shutOffHeadM: fc.constant(60),
  maxFlowM3PerS: fc.double({ min: 1e-5, max: 0.05, noNaN: true }),
  outletBoreM: within(LIMITS.bore),
  ratedPowerW: within(LIMITS.pumpPower),
})

const file = fc
  .record({
    tank: fc.record({
      lengthM: within(LIMITS.tankLength),
      widthM: within(LIMITS.tankWidth),
      heightM: within(LIMITS.tankHeight),
      rimM: within(LIMITS.waterLevel),
      waterLevelM: within(LIMITS.waterLevel),
      floorHeightM: within(LIMITS.floorHeight),
    }),
    displacement: fc.record({
      rockMassKg: within(LIMITS.rockMass),
      rockDensityKgPerM3: within(LIMITS.rockDensity),
      sandMassKg: within(LIMITS.sandMass),
      sandGrainDensityKgPerM3: within(LIMITS.sandDensity),
    }),
    water: fc.record({
      salinityPpt: within(LIMITS.salinity),
      temperatureC: within(LIMITS.temperature),
    }),
    turnoverPerH: within(LIMITS.turnover),
    speed: fc.double({ min: 0.3, max: 1, noNaN: true }),
    sourceLevelM: within(LIMITS.sourceLevel),
    outlet: fc.record({
      xM: within(LIMITS.place),
      yM: within(LIMITS.place),
      zM: within(LIMITS.place),
    }),
    size,
    pieces: fc.array(piece, { maxLength: 14 }),
    roughnessM: within(LIMITS.roughness),
    ribbedFactor: within(LIMITS.ribbedFactor),
    pump,
  })
  .map((any) => {
    const made = aFile()
    const design = made.designs[0].design
    Object.assign(design, {
      tank: any.tank,
      displacement: any.displacement,
      water: any.water,
      target: { turnoverPerH: any.turnoverPerH },
    })
    Object.assign(design.returnSide, {
      speed: any.speed,
      sourceLevelM: any.sourceLevelM,
      outlet: any.outlet,
    })
    design.returnSide.run = {
      size: any.size,
      roughnessM: any.roughnessM,
      ribbedFactor: any.ribbedFactor,
      pieces: any.pieces.map((one, i) => ({ id: `p${i}`, ...one })),
    }
    Object.assign(design.pumps[0], any.pump)
    return made
  })

/** Every number in a tree that is not one. */
function notNumbers(tree: unknown, path = ''): string[] {
  if (typeof tree === 'number') return Number.isFinite(tree) ? [] : [`${path} is ${tree}`]
  if (typeof tree !== 'object' || tree === null) return []
  return Object.entries(tree).flatMap(([key, inner]) => notNumbers(inner, `${path}.${key}`))
}

describe('any design that may be stored', () => {
  const read = (plain: unknown): BasinDesign => {
    const checked = readBasinObject(plain)
    if (!checked.ok) throw new Error(JSON.stringify(checked.faults))
    return checked.value.designs[0]!.design
  }
  test('is solved, with a number in every place, a finding on its flow and every working', () => {
    fc.assert(
      fc.property(file, (plain) => {
        const design = read(plain)
        const solved = solveBasin(design)
        expect(notNumbers(solved)).toEqual([])
        expect(solved.returnSide.status).not.toBe('unsettled')
        expect(solved.findings.length).toBeGreaterThan(0)
        for (const figure of FIGURES) expect(workingOf(figure, design, solved).title).not.toBe('')
      }),
      { seed: 2026, numRuns: 1500 },
    )
  }, 120_000)
  test('balances: what the pump gives is lift and losses, where water flows', () => {
    fc.assert(
      fc.property(file, (plain) => {
        const { returnSide: side } = solveBasin(read(plain))
        if (side.status !== 'flows') return
        const scale = Math.max(1, Math.abs(side.headM), Math.abs(side.liftM))
        expect(
          Math.abs(side.headM - side.liftM - side.frictionM - side.fittingsM) / scale,
        ).toBeLessThan(1e-6)
      }),
      { seed: 11, numRuns: 500 },
    )
  }, 60_000)
  test('has a run that reads back from its typed line', () => {
    fc.assert(
      fc.property(file, (plain) => {
        const { run } = read(plain).returnSide
        const back = readNotation(writeNotation(run.pieces, 'us'), 'us', run, () => 'x')
        expect(back.ok && back.pieces).toEqual(run.pieces)
      }),
      { seed: 12, numRuns: 300 },
    )
  }, 60_000)
})
