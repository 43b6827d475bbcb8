import type { LineCut } from './cut-line.ts'
import type { LaidLine } from './laid-line.ts'

/** A stretch of a line between two meetings of water: one link of the network. */
export interface Segment {
  readonly lineIndex: number
  /** Place among the network's links. */
  readonly link: number
  /** Pieces from this place up to, not with, the other. */
  readonly firstPiece: number
  readonly endPiece: number
}

/** Does nothing come back through a stretch: past a check valve, or from an end in air? */
export function isOneWay({ end }: LaidLine, { hasCheck, teeId }: LineCut): boolean {
  return hasCheck || (teeId === null && (end === 'above-water' || end === 'outside-tank'))
}
