import type { TakeOffKind } from '../../fitting/index.ts'
import type { PipeSize } from '../../pipe/index.ts'
import type { EndKind, Point } from '../../run/index.ts'

/** What a thing in a run is bought as. */
export type BodyKind =
  | 'elbow-90'
  | 'elbow-90-long'
  | 'elbow-45'
  | 'tee'
  | 'union'
  | 'gate-valve'
  | 'ball-valve'
  | 'diaphragm-valve'
  | 'check-valve'
  | 'reducer'
  | 'bulkhead'
  | 'nozzle'
  | 'coupling'
  | 'cap'
  | 'strainer'
  | 'device'
  | 'pump'
  | 'leg'
  | 'open-end'

/** One end of a thing: how it is joined, and the size of pipe or hose it is made for. */
export interface BodyEnd {
  readonly kind: EndKind
  readonly size: PipeSize
}

/** A thing that pipe or hose is joined to: a fitting, a port, an end. */
export interface Body {
  /** Of the design's piece it is; of one that the sheet adds, named after what it stands at. */
  readonly id: string
  readonly kind: BodyKind
  readonly at: Point
  /** The piece to light up in the drawing; null: it is none. */
  readonly pieceId: string | null
  readonly before: BodyEnd
  readonly after: BodyEnd
  /** A valve with unions of its own. */
  readonly isTrueUnion: boolean
  /** The keeper said nothing of its joints. */
  readonly isAssumed: boolean
  /** The run turns here, or ends: what stands in line can't be moved past it. */
  readonly isCorner: boolean
  /** Held to the stand or the wall: it can't move while building. */
  readonly isClipped: boolean
  /** Of the part it was taken from; null: none in particular. */
  readonly partId: string | null
}

/** How a body counts for the length of the pipe that goes into it. */
export const TAKE_OFF_OF: Readonly<Record<BodyKind, TakeOffKind>> = {
  'elbow-90': 'elbow-90',
  'elbow-90-long': 'elbow-90',
  'elbow-45': 'elbow-45',
  tee: 'tee',
  leg: 'tee',
  union: 'union',
  'gate-valve': 'valve',
  'ball-valve': 'valve',
  'diaphragm-valve': 'valve',
  'check-valve': 'valve',
  reducer: 'coupling',
  coupling: 'coupling',
  bulkhead: 'bulkhead',
  nozzle: 'adapter',
  strainer: 'adapter',
  cap: 'cap',
  device: 'device',
  pump: 'adapter',
  'open-end': 'open-end',
}

/** Pipe or hose between two bodies. */
export interface Span {
  readonly id: string
  readonly kind: 'pipe' | 'hose'
  readonly size: PipeSize
  /** Centre to centre of its bodies, m. */
  readonly lengthM: number
  /** The drawn pieces it is made of. */
  readonly pieceIds: readonly string[]
}

/** A run as it is built: bodies, and one fewer segments between them. */
export interface BuiltRun {
  readonly id: string
  readonly of: 'line' | 'drain'
  readonly name: string
  readonly bodies: readonly Body[]
  readonly segments: readonly Span[]
}
