import type { PipeSize } from '../pipe/index.ts'
import type { PieceMade } from './made.ts'

/** As you stand in front of the tank. */
export type Direction = 'up' | 'down' | 'left' | 'right' | 'front' | 'back'

/** All of them, in the order they are offered. */
export const DIRECTIONS = ['up', 'down', 'left', 'right', 'front', 'back'] as const

/** What every piece has. */
interface OfAnyPiece {
  readonly id: string
  /** How it is bought and joined; left out or null: as usual. */
  readonly made?: PieceMade | null
}

/** A straight length of the current pipe or hose; lengths run centre to centre of the fittings. */
export interface PipePiece extends OfAnyPiece {
  readonly kind: 'pipe'
  readonly lengthM: number
  readonly direction: Direction
}

/** A fitting's bend, by its radius and angle. */
export type ElbowForm = 'standard-90' | 'sweep-90' | 'standard-45' | 'hose-bend-90'

/** A bend; its turn follows from the pipes on either side. */
export interface ElbowPiece extends OfAnyPiece {
  readonly kind: 'elbow'
  readonly form: ElbowForm
}

/** A joint that opens by hand. */
export interface UnionPiece extends OfAnyPiece {
  readonly kind: 'union'
}

/** How a valve throttles. */
export type ValveForm = 'gate' | 'ball' | 'diaphragm'

/** A valve set by hand. */
export interface ValvePiece extends OfAnyPiece {
  readonly kind: 'valve'
  readonly form: ValveForm
  /** Share of its stroke (gate) or quarter turn (ball) that is open: 0 shut, 1 open. A diaphragm valve's part-open loss is not known: above 0 it counts as open. */
  readonly opening: number
  /** A maker's Kv for the open valve; null: from the table. */
  readonly kvM3PerH: number | null
}

/** How a check valve shuts. */
export type CheckValveForm = 'swing' | 'spring'

/** Lets water one way only. */
export interface CheckValvePiece extends OfAnyPiece {
  readonly kind: 'check-valve'
  readonly form: CheckValveForm
  readonly kvM3PerH: number | null
}

/** From here on the run has another size. */
export interface ReducerPiece extends OfAnyPiece {
  readonly kind: 'reducer'
  readonly to: PipeSize
  /** Included angle of a gradual reducer; null: sudden. */
  readonly angleDeg: number | null
}

/** A fitting through a wall. */
export interface BulkheadPiece extends OfAnyPiece {
  readonly kind: 'bulkhead'
  /** null: as the pipe. */
  readonly boreM: number | null
}

/** The end of the run. Without one, the open pipe is the end. */
export interface NozzlePiece extends OfAnyPiece {
  readonly kind: 'nozzle'
  readonly boreM: number
}

/**
 * Where the water goes from one line into two, or comes from two into one. side: this line goes
 * straight on and the other stands at the side. straight: the other goes straight on and this one
 * turns. split: water comes in at the side and both turn.
 */
export type TeeForm = 'side' | 'straight' | 'split'

/** A tee; the other line names it by its id. */
export interface TeePiece extends OfAnyPiece {
  readonly kind: 'tee'
  readonly form: TeeForm
}

/** What a device in the line is for; its loss does not depend on it. */
export type DeviceUse = 'reactor' | 'scrubber' | 'chiller' | 'heater' | 'sterilizer' | 'other'

/** How a device's loss is known. */
export type DeviceLossBy = 'k' | 'kv' | 'table'

/** One point of a device's printed loss. */
export interface LossPoint {
  readonly flowM3PerS: number
  readonly headM: number
}

/** Something the water passes that is no plumbing: a reactor, a chiller, a sterilizer. */
export interface DevicePiece extends OfAnyPiece {
  readonly kind: 'device'
  readonly use: DeviceUse
  readonly name: string
  readonly by: DeviceLossBy
  /** On the bore of its line; used when `by` is k. */
  readonly k: number
  /** Used when `by` is kv. */
  readonly kvM3PerH: number
  /** With rising flow and head, from above zero; used when `by` is table. */
  readonly table: readonly LossPoint[]
}

/** Hose that curves freely from here to a place; as long as the keeper cuts it. */
export interface FreeHosePiece extends OfAnyPiece {
  readonly kind: 'free-hose'
  readonly lengthM: number
  /** From its start to its end, along each axis of the room. */
  readonly byXM: number
  readonly byYM: number
  readonly byZM: number
}

/** Anything the water passes in a run. */
export type Piece =
  | PipePiece
  | ElbowPiece
  | UnionPiece
  | ValvePiece
  | CheckValvePiece
  | ReducerPiece
  | BulkheadPiece
  | NozzlePiece
  | TeePiece
  | DevicePiece
  | FreeHosePiece

/** What a piece can be. */
export type PieceKind = Piece['kind']

/** A piece of one kind. */
export type PieceOf<Kind extends PieceKind> = Extract<Piece, { kind: Kind }>

/** One line of pipe from a pump's outlet or a tee to its end, in the order the water passes. */
export interface Run {
  /** Size where it starts, until a reducer changes it. */
  readonly size: PipeSize
  readonly pieces: readonly Piece[]
  /** Roughness of the wall, m: 1.5e-6 new; 5e-5 to 3e-4 after months of biofilm. */
  readonly roughnessM: number
  /** Factor on friction in ribbed hose. */
  readonly ribbedFactor: number
}
