import type { ReturnLine } from '../design/index.ts'
import type { FittingLoss, LaidRun, Point, TeePiece } from '../run/index.ts'

/** How a line ends: in air or under water in its tank or chamber, not over its tank at all, in a tee, or capped. */
export type RunEnd = 'above-water' | 'under-water' | 'outside-tank' | 'tee' | 'cap'

/** A tee in its place, with the line that has it among its pieces. */
export interface PlacedTee {
  readonly tee: TeePiece
  readonly lineId: string
  readonly place: Point
  /** Of all three legs: an equal tee, with adapters where another bore meets it. */
  readonly boreM: number
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
  /** The adapter from the pump's outlet or the tee it leaves, where bores differ. */
  readonly startLosses: readonly FittingLoss[]
  /** An open pipe's exit, or the adapter to the tee it ends in. */
  readonly endLosses: readonly FittingLoss[]
}

/** The same against the water at its end. */
export interface LaidLine extends FixedLine {
  readonly end: RunEnd
  /** Head that counts at its end, above the room's floor; null at a tee or a cap. */
  readonly endHeadM: number | null
}

/** The lines that meet at a tee, leg by leg: which of its own line's two stretches, or the other line. */
export type TeeLegs = readonly [TeeEnd, TeeEnd, TeeEnd]
/** in, out: the stretches of the line that has the tee, before it and after it. */
export type TeeEnd = 'in' | 'out' | 'other'

/** Which line stands on run1, run2 and branch of a tee. */
export function teeLegs({ tee: { form }, other }: PlacedTee): TeeLegs {
  if (form === 'side') return ['in', 'out', 'other']
  const joins = other?.joins ?? false
  // This line turns at its corner, and the other goes straight on.
  if (form === 'straight') return joins ? ['other', 'out', 'in'] : ['in', 'other', 'out']
  return joins ? ['in', 'other', 'out'] : ['other', 'out', 'in']
}
