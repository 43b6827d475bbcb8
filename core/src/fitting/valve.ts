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
    return closed >= GATE_SHUT ? null : alongLogK(GATE, closed) - GATE[0]![1]
  }
  const degrees = degreesClosed(opening)
  if (degrees >= QUARTER_TURN_SHUT_DEGREES) return null
  const [firstDegrees, firstK] = QUARTER_TURN[0]!
  // 0–5°: straight in K from zero.
  if (degrees <= firstDegrees) return (firstK * degrees) / firstDegrees
  return alongLogK(QUARTER_TURN, degrees)
}

/** ln K straight between the rows; past the last row, on along the last segment. */
function alongLogK(table: ClosingTable, closed: number): number {
  let i = 0
  while (i < table.length - 2 && closed > table[i + 1]![0]) i++
  const [x0, k0] = table[i]!
  const [x1, k1] = table[i + 1]!
  return k0 * (k1 / k0) ** ((closed - x0) / (x1 - x0))
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
    const { closed, slope } = closedAtK(GATE, rise + GATE[0]![1])
    return { opening: 1 - closed, slope: -slope }
  }
  const [firstDegrees, firstK] = QUARTER_TURN[0]!
  const straight = { closed: (rise / firstK) * firstDegrees, slope: firstK / firstDegrees }
  const { closed, slope } = rise <= firstK ? straight : closedAtK(QUARTER_TURN, rise)
  return { opening: 1 - closed / QUARTER_TURN_DEGREES, slope: -slope * QUARTER_TURN_DEGREES }
}

/** Where ln K, straight between the rows, reaches a K, and dK/d(closed) there. */
function closedAtK(table: ClosingTable, k: number): { closed: number; slope: number } {
  let i = 0
  while (i < table.length - 2 && k > table[i + 1]![1]) i++
  const [x0, k0] = table[i]!
  const [x1, k1] = table[i + 1]!
  const perClosed = Math.log(k1 / k0) / (x1 - x0)
  return { closed: x0 + Math.log(k / k0) / perClosed, slope: k * perClosed }
}
