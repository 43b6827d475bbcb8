import { FIGURES, everyWorking, figureIsOf } from '@yew-basin/core/lab'
import { describe, expect, test } from '@jest/globals'
import { readNotation, solveBasin, writeNotation, type BasinDesign } from '@yew-basin/core'
import fc from 'fast-check'
import {
  DRAIN_ROLES,
  LIMITS,
  readBasinObject,
  SIZES,
  WALL_KINDS,
  type Limit,
} from '../src/index.ts'
import { aFile } from './a-file.ts'
import type { Plain } from './plain.ts'

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
      sizes.map((wanted) => ({ series, size: wanted })),
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
  fc.record({ kind: fc.constant('tee'), form: fc.constantFrom('side', 'straight', 'split') }),
  fc.record({
    kind: fc.constant('device'),
    use: fc.constantFrom('reactor', 'scrubber', 'chiller', 'heater', 'sterilizer', 'other'),
    name: fc.constant('A device'),
    by: fc.constantFrom('k', 'kv', 'table'),
    k: within(LIMITS.loss),
    kvM3PerH: within(LIMITS.kv),
    table: fc.constant([
      { flowM3PerS: 0.0002, headM: 0.1 },
      { flowM3PerS: 0.0005, headM: 0.7 },
    ]),
  }),
  fc.record({
    kind: fc.constant('free-hose'),
    lengthM: within(LIMITS.pipeLength),
    byXM: within(LIMITS.by),
    byYM: within(LIMITS.by),
    byZM: within(LIMITS.by),
  }),
)

/** Where a line may end, its id by its kind. */
const end = fc
  .record({
    at: fc.constantFrom('tank', 'chamber', 'cap'),
    place: orNull(
      fc.record({ xM: within(LIMITS.place), yM: within(LIMITS.place), zM: within(LIMITS.place) }),
    ),
    breakDepthM: orNull(within(LIMITS.breakDepth)),
  })
  .map((place) => ({ ...place, id: { tank: 'tank', chamber: 'sump', cap: null }[place.at]! }))

const line = fc.record({
  size,
  pieces: fc.array(piece, { maxLength: 10 }),
  end,
  wantedFlowM3PerS: orNull(within(LIMITS.wantedFlow)),
})

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

const teeth = fc
  .record({
    slotWidthM: fc.double({ min: 0.001, max: 0.05, noNaN: true }),
    solidM: fc.double({ min: 0.001, max: 0.05, noNaN: true }),
    heightM: fc.double({ min: 0.002, max: 0.1, noNaN: true }),
    blockedShare: within(LIMITS.blockedShare),
  })
  .map(({ solidM, ...cut }) => ({ ...cut, pitchM: cut.slotWidthM + solidM }))

const wayDown = fc.record({
  overflow: fc.option(
    fc.record({
      crestShare: fc.double({ min: 0.2, max: 0.98, noNaN: true }),
      rimLengthM: within(LIMITS.rimLength),
      teeth: fc.option(teeth),
      openAbove: fc.boolean(),
      guard: fc.option(
        fc.record({ openShare: within(LIMITS.openShare), leastOpeningM: within(LIMITS.slotWidth) }),
      ),
      keepsInM: fc.option(within(LIMITS.slotWidth)),
      sensorM: fc.option(within(LIMITS.boxHeight)),
    }),
  ),
  lips: fc.tuple(within(LIMITS.place), within(LIMITS.place)),
  roles: fc.tuple(fc.constantFrom(...DRAIN_ROLES), fc.constantFrom(...DRAIN_ROLES)),
  wall: fc.option(
    fc.record({
      kind: fc.constantFrom(...WALL_KINDS),
      topM: fc.double({ min: 0.05, max: 0.4, noNaN: true }),
      slotM: fc.double({ min: 0.001, max: 0.04, noNaN: true }),
      atM: fc.double({ min: 0.01, max: 0.85, noNaN: true }),
      pipeBoreM: within(LIMITS.bore),
      pipeHeightM: fc.double({ min: 0.01, max: 0.4, noNaN: true }),
    }),
  ),
})

/** A room, as cold and as damp as may be stored; what it is heated with, and what is fed. */
const warmth = fc.record({
  room: orNull(
    fc
      .record({
        coldestRoomC: within(LIMITS.roomTemperature),
        over: fc.double({ min: 0, max: 10, noNaN: true }),
        humidity: orNull(within(LIMITS.humidity)),
        stirred: within(LIMITS.stirred),
        tankPanels: fc.constantFrom('glass', 'thick-acrylic'),
        sumpPanels: fc.constantFrom('glass', 'thick-acrylic'),
        lightsW: within(LIMITS.lights),
        lightHoursPerDay: within(LIMITS.hoursPerDay),
        chillerW: orNull(within(LIMITS.chiller)),
        warningS: within(LIMITS.warning),
      })
      .map(({ over, ...room }) => ({
        ...room,
        warmestRoomC: Math.min(LIMITS.roomTemperature.max, room.coldestRoomC + over),
      })),
  ),
  ownShare: orNull(within(LIMITS.ownShare)),
  more: fc.double({ min: 0, max: 100, noNaN: true }),
  oversizeFrom: within(LIMITS.oversize),
  heaterW: orNull(within(LIMITS.devicePower)),
})

const file = fc
  .record({
    warmth,
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
    branches: fc.array(line, { maxLength: 4 }),
    stopped: fc.integer({ min: 0, max: 9 }).map((n) => n === 0),
    roughnessM: within(LIMITS.roughness),
    ribbedFactor: within(LIMITS.ribbedFactor),
    pump,
    way: wayDown,
  })
  .map((any) => {
    const made = aFile()
    const design = made.designs[0].design
    design.water = any.water
    Object.assign(design.tanks[0], any.tank, {
      displacement: any.displacement,
      turnoverPerH: any.turnoverPerH,
    })
    goDown(design, any.way)
    keepWarm(design, any.warmth)
    const { returnSide } = design
    design.sump.chambers[0].levelM = any.sourceLevelM
    Object.assign(returnSide.pumps[0], {
      speed: any.speed,
      outlet: any.outlet,
      stopped: any.stopped,
    })
    const wall = { roughnessM: any.roughnessM, ribbedFactor: any.ribbedFactor }
    const run = (runSize: Plain, pieces: readonly Plain[], name: string) => ({
      size: runSize,
      ...wall,
      pieces: pieces.map((drawn, i) => ({ id: `${name}${i}`, ...drawn })),
    })
    const main = {
      ...returnSide.lines[0],
      run: run(any.size, any.pieces, 'p'),
      end: { at: 'tank', id: 'tank', place: null, breakDepthM: null },
    }
    returnSide.lines = [main, ...branchesOf(main, any.branches, run)]
    Object.assign(design.pumps[0], any.pump)
    return made
  })

/** The skimmer may as well be a heater. */
function keepWarm(design: Plain, any: Plain): void {
  design.heat = any.room
  design.returnSide.ownShare = any.ownShare
  const { treatment } = design
  treatment.feeds[0].mostPerDay = treatment.feeds[0].perDay + any.more
  Object.assign(treatment, { oversizeFrom: any.oversizeFrom, oversizeTo: any.oversizeFrom })
  if (any.heaterW === null) return
  Object.assign(design.sump.devices[0].part, {
    kind: 'heater',
    skimmer: null,
    powerW: any.heaterW,
  })
}

/** The way down takes what the tank's rim allows: all of it, no overflow, or a sump without sizes. */
function goDown(design: Plain, way: Plain): void {
  const [tank] = design.tanks
  if (way.overflow === null) {
    tank.overflow = null
    design.drains = []
  } else {
    const { crestShare, ...overflow } = way.overflow
    Object.assign(tank.overflow, overflow, { crestM: Math.max(0.0201, tank.rimM * crestShare) })
    if (tank.overflow.crestM >= tank.rimM) tank.rimM = tank.overflow.crestM + 0.01
    design.drains.forEach((drain: Plain, i: number) => {
      drain.inlet.place.zM = way.lips[i]
      drain.role = way.roles[i]
    })
  }
  if (way.wall === null) {
    design.sump.box = null
    design.sump.walls = []
  } else {
    const [wall] = design.sump.walls
    Object.assign(wall, way.wall)
    wall.teeth.heightM = wall.topM / 3
  }
}

/** Lines on as many of the tees as there are, on the main line or on one another. */
function branchesOf(
  main: Plain,
  wanted: readonly Plain[],
  run: (size: Plain, pieces: readonly Plain[], name: string) => Plain,
): Plain[] {
  const made: Plain[] = []
  for (const [n, edge] of wanted.entries()) {
    const taken = made.map(({ start }) => start.id as string)
    const tee = [main, ...made]
      .flatMap((each) => each.run.pieces as Plain[])
      .find((each) => each.kind === 'tee' && !taken.includes(each.id))
    if (!tee) break
    made.push({
      id: `branch${n}`,
      name: `Branch ${n}`,
      start: { at: 'tee', id: tee.id },
      end: edge.end,
      wantedFlowM3PerS: edge.wantedFlowM3PerS,
      run: run(edge.size, edge.pieces, `b${n}-`),
    })
  }
  return made
}

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
        const figures = new Set(everyWorking(design, solved).map(({ figure }) => figure))
        for (const figure of FIGURES.filter((known) => figureIsOf(known) === 'line')) {
          expect(figures).toContain(figure)
        }
      }),
      { seed: 2026, numRuns: 60 },
    )
  }, 120_000)
  test('balances: what the pump gives is lift and losses, where water flows', () => {
    fc.assert(
      fc.property(file, (plain) => {
        for (const side of solveBasin(read(plain)).returnSide.lines) {
          // Along a way on which the water runs back somewhere, losses count the other way.
          if (side.status !== 'flows' || side.startFlowM3PerS < side.flowM3PerS) continue
          const { headM } = side.pump
          const scale = Math.max(1, Math.abs(headM), Math.abs(side.liftM))
          const off = headM - side.liftM - side.frictionM - side.fittingsM
          if (side.pump.flowM3PerS > 0) expect(Math.abs(off) / scale).toBeLessThan(1e-5)
        }
      }),
      { seed: 11, numRuns: 60 },
    )
  }, 60_000)
  test('has a run that reads back from its typed line', () => {
    fc.assert(
      fc.property(file, (plain) => {
        const { run } = read(plain).returnSide.lines[0]!
        const back = readNotation(writeNotation(run.pieces, 'us'), 'us', run, () => 'x')
        expect(back.ok && back.pieces).toEqual(run.pieces)
      }),
      { seed: 12, numRuns: 150 },
    )
  }, 60_000)
})
