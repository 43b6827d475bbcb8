import type { CheckFitting } from '../check-fitting.ts'
import { type CheckLine, checkLine } from '../check-line.ts'
import { jsonTable, L_PER_H } from '../tables.ts'
import type { DrainRole } from '../../src/design/index.ts'
import { openPipeFlow } from '../../src/drain/emergency.ts'
import { type Fall, fallFlow, makeFall } from '../../src/drain/fall.ts'
import {
  type EventDetector,
  integrate,
  type IntervalEnd,
  type Mark,
} from '../../src/drill/integrate.ts'
import { Between, type Law } from '../../src/drill/rates.ts'
import { store, type Vessel, volumeAt } from '../../src/drill/vessel.ts'
import { type Water, waterAt } from '../../src/fluid/water.ts'
import type { LaidDrain } from '../../src/loop/index.ts'
import { makeNetwork } from '../../src/network/network.ts'
import { solveNetwork } from '../../src/network/solve-network.ts'
import { pumpCurve } from '../../src/pump/curve.ts'
import type { PumpPart } from '../../src/pump/part.ts'
import type { RimLaw } from '../../src/weir/rim.ts'
import { smoothRim } from '../../src/weir/smooth.ts'
import { toothedRim } from '../../src/weir/toothed.ts'

/** A drill of the check table; every kind has its own numbers beside these. */
export interface CheckDrill {
  readonly id: string
  readonly kind: string
  readonly comment: string
  readonly result: Readonly<Record<string, unknown>>
  readonly [name: string]: unknown
}

export const CHECK_DRILLS = jsonTable<CheckDrill[]>('drills.json')
export const ofKind = (kind: string) =>
  CHECK_DRILLS.filter((drill) => drill.kind === kind).map((drill) => [drill.id, drill] as const)

export const num = (given: Readonly<Record<string, unknown>>, name: string): number => {
  const value = given[name]
  if (typeof value !== 'number') throw new Error(`the drill has no number ${name}`)
  return value
}

export const waterOf = (given: CheckDrill): Water =>
  waterAt({ salinityPpt: num(given, 'S_ppt'), temperatureC: num(given, 'T_C') })
const PLAIN: Water = waterAt({ salinityPpt: 35, temperatureC: 25 })

/** Holds a figure against the table's; a row that has none is a fault of the test. */
export function near(what: string, got: number, wanted: unknown, within: number): void {
  if (typeof wanted !== 'number') throw new Error(`${what}: the table has none`)
  if (!(Math.abs(got - wanted) <= within)) throw new Error(`${what}: got ${got}, wanted ${wanted}`)
}
/** A level, to a fifth of a millimetre. */
export const level = (what: string, got: number, wanted: unknown): void =>
  near(what, got, wanted, 2e-4)
/** A moment, to half a hundredth. */
export const time = (what: string, got: number, wanted: unknown, leastS = 0.05): void =>
  near(what, got, wanted, Math.max(leastS, 0.005 * Number(wanted)))

/** A table's line as a full pipe, a stopped pump in it where there is one. */
export function fallOf(line: CheckLine, water = PLAIN, more: readonly CheckFitting[] = []): Fall {
  return makeFall(checkLine(line, more), [], false, water)
}

export function rimOf(given: Readonly<Record<string, unknown>>): RimLaw {
  const depthBelowM = num(given, 'depth_below_rim_m')
  if (given.kind === 'smooth') return smoothRim({ lengthM: num(given, 'length_m'), depthBelowM })
  return toothedRim({
    slotWidthM: num(given, 'slot_width_m'),
    pitchM: num(given, 'pitch_m'),
    heightM: num(given, 'tooth_height_m'),
    count: num(given, 'slots'),
    blockedShare: num(given, 'blocked_share'),
    depthBelowM,
    rimAboveM: num(given, 'rim_above_m'),
  })
}

/** Flow of a pump through a line up to an outlet in air, by the lift. */
export function pumpFlowOf(given: CheckDrill): (liftM: number) => number {
  const curve = given.pump_curve as { points_L_h_m: [number, number][]; outlet_bore_m: number }
  const part: PumpPart = {
    id: 'p',
    name: 'p',
    control: 'controllable',
    mounting: 'under-water',
    curve: curve.points_L_h_m.map(([flow, headM]) => ({ flowM3PerS: flow * L_PER_H, headM })),
    shutOffHeadM: null,
    maxFlowM3PerS: null,
    ratedPowerW: 40,
    power: [],
    outletBoreM: curve.outlet_bore_m,
    inletBoreM: null,
    leastDepthM: null,
    partId: null,
    leastSpeed: 0.1,
    priceClass: null,
    size: null,
  }
  const line = checkLine(given.return_line as CheckLine)
  return (liftM) => {
    const network = makeNetwork({
      nodes: [
        { id: 'in', headM: 0, tee: null },
        { id: 'out', headM: liftM, tee: null },
      ],
      links: [
        {
          id: 'l',
          from: 0,
          to: 1,
          line,
          tables: [],
          pump: {
            curve: pumpCurve(part),
            outletBoreM: part.outletBoreM,
            speed: num(given, 'speed'),
            stopped: false,
          },
          oneWay: true,
          shut: false,
        },
      ],
      water: PLAIN,
      tree: null,
    })
    const solved = solveNetwork(network)
    return solved.ok ? solved.value.flowsM3PerS[0]! : 0
  }
}

export const vessel = (id: string, areaM2: number, floorM = 0): Vessel => ({
  of: { kind: 'store', id },
  areaM2,
  floorM,
  submergedM3: 0,
})
export const FLOOR = store('floor')

/** An open pipe from a box: rim, then mouth, and its full pipe where one is given. */
export function openPipe(
  from: number,
  to: number,
  { boreM, lipM, fall, dropM }: { boreM: number; lipM: number; fall?: Fall; dropM?: number },
): Law {
  const below = fall && dropM !== undefined ? { fall, dropM } : null
  return new Between(from, to, (fromM) => openPipeFlow({ boreM, below }, fromM - lipM))
}

export const throughFall = (from: number, to: number, fall: Fall): Law =>
  new Between(from, to, (fromM, toM) => (fromM > toM ? fallFlow(fall, fromM - toM, 5e-4) : 0))

export interface Ran extends IntervalEnd {
  readonly levelM: (vessel: number, timeS: number) => number
  readonly volumes: number[]
}

/** Runs a system from its levels; `at` are times at which levels are asked for. */
export function flowOn(given: {
  readonly vessels: readonly Vessel[]
  readonly laws: readonly Law[]
  readonly levelsM: readonly number[]
  readonly toS: number
  readonly detectors?: readonly EventDetector[]
  readonly marks?: readonly Mark[]
  readonly fromS?: number
  readonly stepsForOne?: number
  readonly seen?: (timeS: number, levels: number[]) => void
}): Ran {
  const volumes = Array.from(given.vessels, (box, i) => volumeAt(box, given.levelsM[i]!))
  const seen: { timeS: number; levels: number[] }[] = []
  const end = integrate(volumes, {
    vessels: given.vessels,
    laws: given.laws,
    detectors: given.detectors ?? [],
    marks: given.marks ?? [],
    fromS: given.fromS ?? 0,
    toS: given.toS,
    ...(given.stepsForOne ? { stepsForOne: given.stepsForOne } : {}),
    seen: (timeS, _, levels) => {
      seen.push({ timeS, levels: levels.slice() })
      given.seen?.(timeS, levels)
    },
  })
  return {
    ...end,
    volumes,
    levelM: (index, timeS) => {
      const at = seen.find((moment) => Math.abs(moment.timeS - timeS) < 1e-6) ?? seen.at(-1)!
      return at.levels[index]!
    },
  }
}

/** A pipe that is nothing but its numbers: no piece of it is drawn. */
export interface BarePipe {
  readonly role: DrainRole
  readonly lipM: number
  readonly boreM: number
  readonly leastM: number
  readonly uprightM: number
  readonly fall: Fall
  readonly endM: number
}

export const laidOf = (pipe: BarePipe, index: number) =>
  ({
    drain: { id: pipe.role, role: pipe.role },
    index,
    boreM: pipe.boreM,
    leastBoreM: pipe.leastM,
    uprightBoreM: pipe.uprightM,
    rises: false,
    lipM: pipe.lipM,
    mouth: { xM: 0, yM: 0, zM: pipe.endM },
    before: pipe.fall,
    after: null,
    alone: pipe.fall,
    trunkId: null,
    memberId: null,
    chamberId: 'inlet',
  }) as unknown as LaidDrain

export const anEmergency = (pipe: Pick<BarePipe, 'boreM' | 'lipM' | 'fall' | 'endM'>) =>
  laidOf({ role: 'emergency', leastM: pipe.boreM, uprightM: pipe.boreM, ...pipe }, 0)

/** A height that no step may pass unseen. */
export const heightOf =
  (place: number, heightM: number): Mark =>
  (levels) =>
    levels[place]! - heightM
