import {
  type BasinDesign,
  type DisplayTank,
  NO_ALLOWANCES,
  type PlacedPump,
  type Sump,
} from '../design/index.ts'
import { boreAreaM2, boreOf, type PipeSeries, SERIES_SIZES } from '../pipe/index.ts'
import type { PumpPart } from '../pump/index.ts'
import { toMillimetre } from '../quantity/index.ts'
import { emptyScene } from '../scene/index.ts'
import type { StartAnswers } from './answers.ts'
import {
  BESIDE_M,
  mouthHeightM,
  overTheWall,
  pipeOfM,
  returnLines,
  type ReturnPipe,
} from './return-way.ts'
import { USUAL_SUMP, USUAL_TREATMENT } from './usual-plans.ts'
import { APART_M, tankSizes, standOf, UNDER_RIM_M, USUAL_TURNOVER_PER_H, usualOf } from './usual.ts'

/** Of a new system, per litre of tank (choice): rock 1 kg to 10 L, sand 1 kg to 14 L. */
const ROCK_KG_PER_M3 = 100
const SAND_KG_PER_M3 = 70
/** The pump's outlet over the sump's floor, and from the first tank's right side, m (choice). */
const OUTLET_OVER_FLOOR_M = 0.1
const FROM_RIGHT_M = 0.2
/** What stays free between a sump's rim and the tank over it, m (choice). */
const OVER_SUMP_M = 0.15
/** Room between a tank and a sump beside it, m (choice). */
const SUMP_BESIDE_M = 0.2
/** From the pump to the right end of its sump, as the sump is laid out under it, m. */
const TO_END_M = 0.12
/** Return pipe is chosen for this speed, m/s (choice), and never narrower than this, m. */
const PIPE_M_PER_S = 1.2
const LEAST_BORE_M = 0.019

const SERIES: Readonly<Record<StartAnswers['units'], PipeSeries>> = {
  metric: 'pn-16',
  us: 'schedule-40',
}

/** The family of pipe that is laid. */
export const seriesOf = ({ units }: StartAnswers): PipeSeries => SERIES[units]

/** Tanks, water, pump and return pipe as they were answered; how water leaves and the sump’s walls are not laid yet. */
export function bareDesign(answers: StartAnswers, pump: PumpPart, flowM3PerS: number): BasinDesign {
  const tanks = answers.tanks.map((_, i) => tankOf(answers, i))
  const pipeOf = pipeFor(answers, flowM3PerS)
  const { outlet, lines } = returnOf(answers, tanks, pipeOf)
  const placed: PlacedPump = {
    id: 'return-pump',
    pumpId: pump.id,
    speed: 1,
    stopped: false,
    chamberId: 'return',
    outlet,
    inletHeightM: null,
  }
  return {
    tanks,
    water: { salinityPpt: 35, temperatureC: 25 },
    drains: [],
    sump: bareSump(sumpLevelM(answers, tanks)),
    returnSide: {
      pumps: [placed],
      lines,
      sparePumpId: null,
      ownShare: null,
    },
    pumps: [pump],
    tariff: null,
    drills: [],
    treatment: USUAL_TREATMENT,
    heat: null,
    allowances: NO_ALLOWANCES,
    assumed: [],
    build: null,
  }
}

function tankOf(answers: StartAnswers, i: number): DisplayTank {
  const { lengthM, widthM, heightM } = tankSizes(answers, i)
  const leftM = answers.tanks
    .slice(0, i)
    .reduce((sum, _, before) => sum + tankSizes(answers, before).lengthM + APART_M, 0)
  const volumeM3 = lengthM * widthM * heightM
  return {
    id: i === 0 ? 'tank' : `tank-${i + 1}`,
    name: answers.tanks[i]!.name,
    xM: leftM,
    yM: 0,
    lengthM,
    widthM,
    heightM,
    rimM: heightM,
    waterLevelM: heightM - Math.min(UNDER_RIM_M, heightM / 8),
    floorHeightM: floorOf(answers, heightM),
    displacement: {
      rockMassKg: Math.round(volumeM3 * ROCK_KG_PER_M3),
      sandMassKg: Math.round(volumeM3 * SAND_KG_PER_M3),
      rockDensityKgPerM3: 2000,
      sandGrainDensityKgPerM3: 2700,
    },
    turnoverPerH: answers.turnoverPerH ?? USUAL_TURNOVER_PER_H,
    overflow: null,
    scene: emptyScene(),
  }
}

/** For the pump's flow alone the tank stands as high as the lift says. */
function floorOf(answers: StartAnswers, heightM: number): number {
  const { kind, liftM } = answers
  if (kind !== 'pump-only' || liftM === null) return standOf(answers)
  return Math.max(0, LEVEL_M + liftM - heightM - 0.01)
}

/** Water in a sump that has no sizes yet, over the room's floor, m (choice). */
const LEVEL_M = 0.25

function sumpLevelM({ kind, liftM }: StartAnswers, tanks: readonly DisplayTank[]): number {
  return kind === 'pump-only' && liftM !== null ? mouthHeightM(tanks[0]!) - liftM : LEVEL_M
}

function outletOf(answers: StartAnswers, tanks: readonly DisplayTank[]) {
  const [first] = tanks as readonly [DisplayTank]
  if (answers.kind === 'all-in-one') {
    const behindM = answers.behindM ?? usualOf(answers.units).behindM
    return {
      xM: first.lengthM - TO_END_M,
      yM: first.widthM - behindM / 2,
      zM: first.floorHeightM + OUTLET_OVER_FLOOR_M,
    }
  }
  const { lengthM, heightM } = answers.sump ?? usualOf(answers.units).sump
  const fits = heightM + OVER_SUMP_M <= first.floorHeightM
  const rightM = Math.max(...tanks.map((tank) => tank.xM + tank.lengthM))
  if (answers.kind === 'pump-only') {
    return { xM: rightM + BESIDE_M, yM: first.widthM / 2, zM: OUTLET_OVER_FLOOR_M }
  }
  return {
    xM: !fits ? rightM + SUMP_BESIDE_M + lengthM - TO_END_M : first.lengthM - FROM_RIGHT_M,
    // All mouths come down in one line from left to right, in every tank.
    yM: Math.min(...tanks.map((tank) => tank.widthM)) / 2,
    zM: OUTLET_OVER_FLOOR_M,
  }
}

/** The smallest pipe in which so much runs quietly; the widest where none does. */
function pipeFor(answers: StartAnswers, flowM3PerS: number): ReturnPipe {
  const series = seriesOf(answers)
  const sizes = SERIES_SIZES[series].map(({ size }) => ({ series, size, boreM: null }))
  const fits = sizes.find((size) => {
    const { boreM } = boreOf(size)
    return boreM >= LEAST_BORE_M && boreAreaM2(boreM) * PIPE_M_PER_S >= flowM3PerS
  })
  const size = fits ?? sizes.at(-1)!
  return { size, boreM: boreOf(size).boreM }
}

/** Where the pump stands, and its lines; for the pump's flow alone it stands so far aside that its pipe is as long as was said. */
function returnOf(answers: StartAnswers, tanks: readonly DisplayTank[], pipeOf: ReturnPipe) {
  const [first] = tanks as readonly [DisplayTank]
  const outlet = outletOf(answers, tanks)
  if (answers.kind === 'all-in-one') {
    return { outlet, lines: [overTheWall(first, outlet, pipeOf, first.widthM / 2)] }
  }
  const sumpRimM = (answers.sump ?? usualOf(answers.units).sump).heightM
  const from = (at: typeof outlet) => ({
    outlet: at,
    lines: returnLines(tanks, { outlet: at, sumpRimM }, pipeOf),
  })
  const least = from(outlet)
  if (answers.kind !== 'pump-only' || answers.runM === null) return least
  const moreM = answers.runM - pipeOfM(least.lines[0]!)
  return moreM > 0 ? from({ ...outlet, xM: toMillimetre(outlet.xM + moreM) }) : least
}

function bareSump(levelM: number): Sump {
  const chamber = {
    id: 'return',
    name: 'Return chamber',
    use: 'return' as const,
    levelM,
    footprintM2: 0,
    submergedM3: 0,
    wantsDepth: null,
  }
  return { ...USUAL_SUMP, chambers: [chamber] }
}
