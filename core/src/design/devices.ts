import type { DevicePart } from '../device/index.ts'
import type { EndKind } from '../run/index.ts'
import type { LampState } from '../uv/index.ts'

/**
 * A sterilizer's lamp and sleeve, and when they were put in (yyyy-mm-dd; null: not set). Its hours
 * run on, so many a day, from those given on a day, else from the day it was put in.
 */
export interface Lamp extends LampState {
  readonly lampSince: string | null
  readonly sleeveSince: string | null
  readonly hoursPerDay: number
  /** The day on which `burnedS` was so; null: not set, and the hours are at least those since the lamp was put in. */
  readonly burnedOn: string | null
}

/** A device where it stands. */
export interface Device {
  readonly id: string
  readonly name: string
  /** As it was when chosen; its id is the part's, of the library or the keeper's own. */
  readonly part: DevicePart
  /** The chamber whose water it works on; null: water comes to it through a line only. */
  readonly chamberId: string | null
  /** Left and front of its box, from the sump's left front inside corner. */
  readonly xM: number
  readonly yM: number
  /** Turned by a quarter, its length from front to back. */
  readonly turned: boolean
  /** Height of the stand under it. */
  readonly standM: number
  /** Share of full speed; 1 for one of one speed. */
  readonly speed: number
  /** The line whose water passes it; null: none. */
  readonly lineId: string | null
  /** The piece it is in that line, of a flow meter the pipe it stands in; null: not set, or no line. */
  readonly pieceId: string | null
  /** How its ports are joined; left out or null: by unions. */
  readonly joint?: EndKind | null
  /** Of a sterilizer; null: another kind. */
  readonly lamp: Lamp | null
}

/** An opening in the cabinet, along its front or side from the left or the front. */
export interface CabinetDoor {
  readonly id: string
  readonly face: 'front' | 'left' | 'right'
  readonly fromM: number
  readonly toM: number
  /** Over the room's floor. */
  readonly bottomM: number
  readonly topM: number
}

/** The inside of what the sump stands in. */
export interface Cabinet {
  /** Its left and front inside faces in the room. */
  readonly xM: number
  readonly yM: number
  readonly lengthM: number
  readonly widthM: number
  /** Underside of its top over the room's floor. */
  readonly topM: number
  readonly doors: readonly CabinetDoor[]
}
