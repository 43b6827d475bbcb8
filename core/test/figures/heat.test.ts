import { describe, expect, test } from '@jest/globals'
import { evaporationMmPerDay, type HeatPlan } from '../../src/design/index.ts'
import { emptyScene } from '../../src/scene/scene.ts'
import { solveBasin } from '../../src/index.ts'
import { aHeatedLoop, ROOM } from '../a-heated-loop.ts'
import { aDevice, withDevices } from '../a-device.ts'
import { INSIDE, LOOP } from '../a-treated-loop.ts'
import { withChanges } from '../changes.ts'
import { expectClose } from '../close.ts'

const heatOf = (heatersW: readonly number[], room: Partial<HeatPlan> = {}) =>
  solveBasin(aHeatedLoop(heatersW, room)).heat!

describe('how warm the water stays', () => {
  test('is not said of a room that is not set', () => {
    expect(solveBasin(LOOP).heat).toBeNull()
  })

  test('panels, surface and evaporation by hand', () => {
    const design = aHeatedLoop([300])
    const { heat, sump, tanks } = solveBasin(design)
    const [tank] = design.tanks
    const { surfaces, coldest, devicesW } = heat!
    const levelM = tank!.rimM - tanks[0]!.freeboardM
    const tankM2 = 2 * (tank!.lengthM + tank!.widthM) * levelM + tank!.lengthM * tank!.widthM
    expect(surfaces.glassM2).toBeGreaterThan(tankM2)
    expect(surfaces.acrylicM2).toBe(0)
    expectClose('W/K', heat!.conductanceWPerK, 4.5 * surfaces.glassM2 + 6 * surfaces.openM2)
    const kelvin = design.water.temperatureC - ROOM.coldestRoomC
    expectClose('panels', coldest.throughPanelsW, heat!.conductanceWPerK * kelvin)
    expectClose('evaporates', coldest.evaporationM3PerS, sump.waterUse!.evaporationM3PerS, 1e-9)
    expectClose(
      'wanted',
      coldest.wantedW,
      coldest.throughPanelsW + coldest.byEvaporationW - devicesW,
    )
    expectClose('band', coldest.wantedBandW, 0.2 * (coldest.wantedW + devicesW))
  })

  test('a thick acrylic tank loses less', () => {
    const thick = heatOf([300], { tankPanels: 'thick-acrylic' })
    expect(thick.surfaces.acrylicM2).toBeGreaterThan(0.5)
    expect(thick.coldest.wantedW).toBeLessThan(heatOf([300]).coldest.wantedW)
  })

  test('all that is under water warms it, a heater only as it must', () => {
    const none = heatOf([]).devicesW
    expect(heatOf([300]).devicesW).toBeCloseTo(none, 9)
    const pumped = withDevices(aHeatedLoop([]), aDevice({ ...INSIDE, made: { powerW: 12 } }))
    expect(solveBasin(pumped).heat!.devicesW).toBeCloseTo(none + 12, 9)
    expect(none).toBeCloseTo(solveBasin(LOOP).returnSide.heatToWaterW, 9)
  })

  test('one of two heaters that sticks leaves more time than one of their power, and one that fails less cold', () => {
    const one = heatOf([400])
    const two = heatOf([200, 200])
    expect(two.heatersW).toBe(one.heatersW)
    expect(two.stuckOn!.untilS).toBeGreaterThan(one.stuckOn!.untilS!)
    expect(one.off.untilS).toBeGreaterThan(0)
    expect(two.off.warmsKPerS).toBeGreaterThan(one.off.warmsKPerS)
    expect(heatOf([]).stuckOn).toBeNull()
  })

  test('a hot room wants cooling, and says where it would end', () => {
    const hot = heatOf([], { warmestRoomC: 33, lightsW: 400 })
    expect(hot.coolingW).toBeGreaterThan(0)
    expect(hot.levelsOffC).toBeGreaterThan(26)
    expect(hot.warmest.enough).toBe('cooling')
    expect(heatOf([], { warmestRoomC: 20 }).levelsOffC).toBeNull()
    const damp = heatOf([], { warmestRoomC: 33, lightsW: 400, humidity: 0.6 })
    expect(damp.levelsOffC).toBeLessThan(hot.levelsOffC!)
  })
})

describe('what evaporates into the room’s air', () => {
  const dry = aHeatedLoop([300], { humidity: 0.3 })
  test('is what the top-off has to make up for, and salt creeps with it', () => {
    const asGiven = solveBasin(aHeatedLoop([300]))
    const solved = solveBasin(dry)
    expect(evaporationMmPerDay(dry)).toBeGreaterThan(LOOP.sump.evaporationMmPerDay)
    expectClose(
      'one figure',
      solved.sump.waterUse!.evaporationM3PerS,
      solved.heat!.coldest.evaporationM3PerS,
      1e-9,
    )
    expect(solved.heat!.creepPptPerDay).toBeGreaterThan(asGiven.heat!.creepPptPerDay)
    expectClose(
      'creep',
      solved.heat!.creepPptPerDay,
      (dry.water.salinityPpt * solved.heat!.coldest.evaporationM3PerS * 86_400) /
        solved.treatment.load.systemVolumeM3,
    )
  })
  test('is nothing where the room is damper than the water', () => {
    const damp = aHeatedLoop([300], { humidity: 1, coldestRoomC: 30, warmestRoomC: 30 })
    expect(evaporationMmPerDay(damp)).toBe(0)
  })
})

describe('everything that is plugged in', () => {
  test('return and circulation pumps, devices, lights over the day, heaters as the room asks', () => {
    const design = withChanges(aHeatedLoop([300]), {
      tariff: { pricePerKWh: 0.25, currency: '€' },
      'tanks.0.scene': {
        ...emptyScene(),
        pumps: [
          {
            id: 'wave',
            name: 'Wave',
            part: {
              id: 'jet',
              name: 'Jet',
              form: 'jet',
              control: 'controllable',
              flowM3PerS: 0.001,
              boreM: 0.04,
              slotLengthM: null,
              slotWidthM: null,
              leastSpeed: 0.3,
              powerW: 20,
              depthM: 0.07,
              bodyM: 0.07,
            },
            panel: 'left',
            alongM: 0.2,
            upM: 0.2,
            turnDeg: 0,
            tiltDeg: 0,
            upright: false,
            speed: 0.5,
            pattern: { kind: 'pulse', periodS: 6, low: 0, group: 'first' },
          },
        ],
      },
    })
    const { power, returnSide, heat } = solveBasin(design)
    const of = (what: string) => power.shares.find((share) => share.of === what)?.meanW ?? 0
    expect(of('return')).toBe(returnSide.wirePowerW)
    // n³, and half of the time.
    expect(of('circulation')).toBeCloseTo(20 * 0.5 ** 3 * 0.5, 9)
    expect(of('lights')).toBeCloseTo((100 * 10) / 24, 9)
    expect(of('warmth')).toBeCloseTo(
      (Math.max(0, heat!.coldest.meanW) + Math.max(0, heat!.warmest.meanW)) / 2,
      9,
    )
    const sum = power.shares.reduce((total, share) => total + share.meanW, 0)
    expect(power.meanW).toBeCloseTo(sum, 9)
    expect(power.energyPerYearJ).toBeCloseTo(sum * 365 * 86_400, 0)
    expect(power.costPerYear).toBeCloseTo((sum * 365 * 24 * 0.25) / 1000, 6)
    expect(power.withoutWarmth).toBe(false)
  })
  test('a chiller runs for the heat it has to take out', () => {
    const room = { warmestRoomC: 34, coldestRoomC: 30 }
    const off = solveBasin(aHeatedLoop([], room)).power
    const on = solveBasin(aHeatedLoop([], { ...room, chillerW: 400 })).power
    expect(on.meanW).toBeGreaterThan(off.meanW)
  })
  test('heaters in a room that is not set are said to be left out', () => {
    const { power } = solveBasin({ ...aHeatedLoop([300]), heat: null })
    expect(power.withoutWarmth).toBe(true)
    expect(power.shares.map((share) => share.of)).not.toContain('warmth')
  })
})
