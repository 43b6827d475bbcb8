import type { ReturnLine } from '../design/index.ts'
import type { FittingLoss, LaidRun, Point, TeePiece } from '../run/index.ts'

/** How a line ends: in air or under water in its tank or chamber, not over its tank at all, in a tee, or capped. */
export type RunEnd = 'above-water' | 'under-water' | 'outside-tank' | 'tee' | 'cap'

/** A tee in its place, with the line that has it among its pieces. */
export interface PlacedTee {
  readonly tee: TeePiece
  readonly lineId: string
  readonly place: Point
  /** The other line that meets it here; null: plugged. */
  readonly other: { readonly lineId: string; readonly joins: boolean } | null
}

/** The tees of a design by their ids, with the line that meets each. */
export type Tees = ReadonlyMap<string, PlacedTee>

/** A line with every piece placed and its losses known, wherever the water stands. */
export interface FixedLine extends LaidRun {
  readonly line: ReturnLine
  /** Its place in the design's list. */
  readonly index: number
  readonly start: Point
  /** What the tee it leaves costs it; null at a pump. */
  readonly startLoss: FittingLoss | null
  /** An open pipe's exit, or the tee it ends in; null at a nozzle or a cap. */
  readonly endLoss: FittingLoss | null
}

/** The same against the water at its end. */
export interface LaidLine extends FixedLine {
  readonly end: RunEnd
  /** Head that counts at its end, above the room's floor; null at a tee or a cap. */
  readonly endHeadM: number | null
}
