import type { Loss } from './loss.ts'
import { makerLoss } from './maker.ts'
import { threeKLoss } from './three-k.ts'

/** Valves whose part-closed loss is known. */
export type ThrottleValve = 'gate-valve' | 'ball-valve'

/** [closed, K]: how far it is shut, as a share of its stroke (gate) or in degrees (quarter-turn). */
type ClosingTable = readonly (readonly [closed: number, k: number])[]

/** Part-closed gate, K against the share of the stroke that is shut. */
const GATE: ClosingTable = [
  [0, 0.17],
  [0.25, 0.9],
  [0.5, 4.5],
  [0.75, 24],
  [0.875, 98],
]
const GATE_SHUT = 1

/** Quarter-turn cock, K against degrees closed (Weisbach's measurements). */
const QUARTER_TURN: ClosingTable = [
  [5, 0.05],
  [10, 0.29],
  [15, 0.75],
  [20, 1.56],
  [25, 3.1],
  [30, 5.47],
  [35, 9.68],
  [40, 17.3],
  [45, 31.2],
  [50, 52.6],
  [55, 106],
  [60, 206],
  [65, 486],
]
/** Where Weisbach's cock closed. */
const QUARTER_TURN_SHUT_DEGREES = 82
const QUARTER_TURN_DEGREES = 90

/** A quarter-turn handle's angle from open, of the share of its turn that is open. */
function degreesClosed(opening: number): number {
  return (1 - opening) * QUARTER_TURN_DEGREES
}

/** A valve and how far it is open. */
export interface ValveSetting {
  readonly valve: ThrottleValve
  readonly tradeSizeIn: number
  readonly boreM: number
  /** Share open: of the stroke (gate) or of the quarter turn (ball). 1 is open. */
  readonly opening: number
  /** A maker's Kv for the open valve; null: the 3-K table. */
  readonly kvM3PerH: number | null
}

/**
 * Loss of a valve at a setting, or null when it is shut. What counts from the part-closed table
 * is its rise over its own full opening, so that it meets the open valve:
 * K = K_open + K_table − K_table(open).
 */
export function valveLoss(setting: ValveSetting): Loss | null {
  const rise = closingRise(setting.valve, setting.opening)
  if (rise === null) return null
  const open =
    setting.kvM3PerH === null
      ? threeKLoss(setting.valve, setting.tradeSizeIn)
      : makerLoss(setting.kvM3PerH, setting.boreM)
  return { km: open.km, k: open.k + rise }
}

/** K_table − K_table(open), or null when shut. */
export function closingRise(valve: ThrottleValve, opening: number): number | null {
  if (valve === 'gate-valve') {
    const closed = 1 - opening
    return closed >= GATE_SHUT ? null : alongLogK(GATE, GATE_SHUT, closed) - GATE[0]![1]
  }
  const degrees = degreesClosed(opening)
  if (degrees >= QUARTER_TURN_SHUT_DEGREES) return null
  const [firstDegrees, firstK] = QUARTER_TURN[0]!
  // 0–5°: straight in K from zero.
  if (degrees <= firstDegrees) return (firstK * degrees) / firstDegrees
  return alongLogK(QUARTER_TURN, QUARTER_TURN_SHUT_DEGREES, degrees)
}

/**
 * ln K straight between the rows; past the last one on along the last segment, and 1/(1 − c) times
 * that, c how far of the way from there to shut is closed: so the flow goes to nil without a step.
 */
function alongLogK(table: ClosingTable, shutAt: number, closed: number): number {
  let i = 0
  while (i < table.length - 2 && closed > table[i + 1]![0]) i++
  const [x0, k0] = table[i]!
  const [x1, k1] = table[i + 1]!
  const k = k0 * (k1 / k0) ** ((closed - x0) / (x1 - x0))
  return closed > x1 ? (k * (shutAt - x1)) / (shutAt - closed) : k
}

/** A valve's setting for a rise of its K, and how fast the rise falls as it opens. */
export interface OpeningOfRise {
  readonly opening: number
  /** d(rise)/d(opening); negative. */
  readonly slope: number
}

/** The setting at which a valve's K has risen by so much over its own full opening; the exact inverse of `closingRise`. */
export function openingOfRise(valve: ThrottleValve, rise: number): OpeningOfRise {
  if (valve === 'gate-valve') {
    const { closed, slope } = closedAtK(GATE, GATE_SHUT, rise + GATE[0]![1])
    return { opening: 1 - closed, slope: -slope }
  }
  const [firstDegrees, firstK] = QUARTER_TURN[0]!
  const straight = { closed: (rise / firstK) * firstDegrees, slope: firstK / firstDegrees }
  const { closed, slope } =
    rise <= firstK ? straight : closedAtK(QUARTER_TURN, QUARTER_TURN_SHUT_DEGREES, rise)
  return { opening: 1 - closed / QUARTER_TURN_DEGREES, slope: -slope * QUARTER_TURN_DEGREES }
}

/** Where the closing law reaches a K, and dK/d(closed) there. */
function closedAtK(
  table: ClosingTable,
  shutAt: number,
  k: number,
): { closed: number; slope: number } {
  let i = 0
  while (i < table.length - 2 && k > table[i + 1]![1]) i++
  const [x0, k0] = table[i]!
  const [x1, k1] = table[i + 1]!
  const perClosed = Math.log(k1 / k0) / (x1 - x0)
  if (k > k1) return nearlyShutAtK({ fromClosed: x1, fromK: k1, perClosed, shutAt }, k)
  return { closed: x0 + Math.log(k / k0) / perClosed, slope: k * perClosed }
}

/** The law past a table's last row. */
interface NearlyShut {
  readonly fromClosed: number
  readonly fromK: number
  /** d(ln K)/d(closed) of the last segment. */
  readonly perClosed: number
  readonly shutAt: number
}

/** ln K = ln K₁ + s x − ln(1 − x/X), x the way past the row and X all of it, by Newton. */
function nearlyShutAtK({ fromClosed, fromK, perClosed, shutAt }: NearlyShut, k: number) {
  const way = shutAt - fromClosed
  const wanted = Math.log(k / fromK)
  // In u = −ln(1 − x/X) the law is u + s X (1 − e⁻ᵘ): it rises less and less, so Newton from 0 never runs past.
  let u = 0
  for (let step = 0; step < MOST_STEPS; step++) {
    const left = Math.exp(-u)
    const off = u + perClosed * way * (1 - left) - wanted
    const next = u - off / (1 + perClosed * way * left)
    if (Math.abs(next - u) < 1e-13 * (1 + u)) break
    u = next
  }
  const left = Math.exp(-u)
  return {
    closed: fromClosed + way * (1 - left),
    slope: k * (perClosed + 1 / (way * left)),
  }
}

const MOST_STEPS = 60
