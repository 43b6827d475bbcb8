import type { Cabinet, CabinetDoor, SumpBox } from '../../design/index.ts'
import type { Rectangle } from '../../device/index.ts'

/** A device as it stands. */
export interface Standing {
  readonly place: Rectangle
  readonly turned: boolean
  /** Foot and top over the room's floor. */
  readonly footM: number
  readonly topM: number
}

/** Room in front of a lamp's ends. */
export interface PullOut {
  /** To the cabinet's wall, at the better end. */
  readonly freeM: number
  /** One end looks out of a door: there the room is as long as it is. */
  readonly throughDoor: boolean
}

/** A lamp is drawn along its device's own length. */
export function pullOutOf(cabinet: Cabinet, box: SumpBox, standing: Standing): PullOut {
  const { place, turned } = standing
  const leftM = cabinet.xM - box.xM
  const frontM = cabinet.yM - box.yM
  const opens = (face: CabinetDoor['face'], fromM: number, toM: number) =>
    cabinet.doors.some(
      (door) =>
        door.face === face &&
        door.fromM <= fromM &&
        toM <= door.toM &&
        door.bottomM <= standing.footM &&
        standing.topM <= door.topM,
    )
  if (turned) {
    // Along the cabinet's width: the front may be a door, the back is not.
    return {
      freeM: Math.max(place.fromYM - frontM, frontM + cabinet.widthM - place.toYM),
      throughDoor: opens('front', place.fromXM - leftM, place.toXM - leftM),
    }
  }
  const [fromM, toM] = [place.fromYM - frontM, place.toYM - frontM]
  return {
    freeM: Math.max(place.fromXM - leftM, leftM + cabinet.lengthM - place.toXM),
    throughDoor: opens('left', fromM, toM) || opens('right', fromM, toM),
  }
}
