import { endLink } from '../layout/index.ts'
import type { DrillSimulation, LogEntry } from './simulate-drill.ts'
import type { VesselOf } from './vessel.ts'

/** A drill's moments packed for sending and playing. */
export interface Playback {
  readonly drillId: string
  readonly vessels: readonly VesselOf[]
  readonly timesS: Float64Array
  /** One row a moment, one column a vessel. */
  readonly levelsM: Float64Array
  /** One row a moment: in each link of the return side. */
  readonly returnFlows: Float64Array
  readonly links: number
  /** Of each line: the link that carries what leaves at its end. */
  readonly endLinks: readonly number[]
  /** One row a moment: of each drain. */
  readonly drainFlows: Float64Array
  readonly drains: number
  readonly spilledM3: Float64Array
  readonly log: readonly LogEntry[]
}

/**
 * A simulated drill as packed arrays, moment by moment. Layout: `levelsM[moment · vessels +
 * vessel]`, m over the room's floor.
 */
export function playbackOf({ plant, moments, log, drill }: DrillSimulation): Playback {
  const links = moments[0]?.returnFlows.length ?? 0
  const drains = moments[0]?.drainFlows.length ?? 0
  const packed = (rows: readonly (readonly number[])[], columns: number) => {
    const all = new Float64Array(rows.length * columns)
    rows.forEach((row, i) => all.set(row, i * columns))
    return all
  }
  return {
    drillId: drill.id,
    vessels: plant.vessels.map(({ of }) => of),
    timesS: Float64Array.from(moments, ({ timeS }) => timeS),
    levelsM: packed(
      moments.map(({ levelsM }) => levelsM),
      plant.vessels.length,
    ),
    returnFlows: packed(
      moments.map(({ returnFlows }) => returnFlows),
      links,
    ),
    links,
    endLinks: plant.steady.layout.lines.map((_, i) => endLink(plant.steady.layout, i)),
    drainFlows: packed(
      moments.map(({ drainFlows }) => drainFlows),
      drains,
    ),
    drains,
    spilledM3: Float64Array.from(moments, ({ spilledM3 }) => spilledM3),
    log,
  }
}

/** How things stand at one time of a drill. */
export interface PlayedMoment {
  readonly timeS: number
  /** Of each vessel. */
  readonly levelsM: readonly number[]
  readonly returnFlowsM3PerS: readonly number[]
  readonly drainFlowsM3PerS: readonly number[]
  readonly spilledM3: number
}

/** The moment at a time: levels straight between the two beside it, flows as they were at the earlier one. */
export function momentAt(playback: Playback, timeS: number): PlayedMoment {
  const { timesS, levelsM, returnFlows, drainFlows, spilledM3, vessels } = playback
  const at = lastNotAfter(timesS, timeS)
  const next = Math.min(at + 1, timesS.length - 1)
  const gapS = timesS[next]! - timesS[at]!
  const share = gapS > 0 ? Math.min(1, Math.max(0, (timeS - timesS[at]!) / gapS)) : 0
  const between = (packed: Float64Array, columns: number, column: number) => {
    const from = packed[at * columns + column]!
    return from + share * (packed[next * columns + column]! - from)
  }
  return {
    timeS,
    levelsM: vessels.map((_, v) => between(levelsM, vessels.length, v)),
    returnFlowsM3PerS: rowOf(returnFlows, playback.links, at),
    drainFlowsM3PerS: rowOf(drainFlows, playback.drains, at),
    spilledM3: between(spilledM3, 1, 0),
  }
}

function rowOf(packed: Float64Array, columns: number, row: number): number[] {
  return [...packed.subarray(row * columns, (row + 1) * columns)]
}

/** Place of the last time that is not after another; the first where all are. */
export function lastNotAfter(timesS: Float64Array, timeS: number): number {
  let low = 0
  let high = timesS.length - 1
  while (low < high) {
    const middle = Math.ceil((low + high) / 2)
    if (timesS[middle]! <= timeS) low = middle
    else high = middle - 1
  }
  return low
}
