import type { Rectangle } from '../../device/plan.ts'
import type { Device } from '../devices.ts'
import type { Sump, SumpBox } from '../sump.ts'

/** Beyond a door there is the whole room, m (choice: longer than any lamp). */
const OPEN_M = 3

/** Free length in front of a lamp's end, the better of its two; null: no cabinet is told. */
export function pullOutFreeM(
  { cabinet }: Sump,
  box: SumpBox,
  { turned }: Device,
  place: Rectangle,
): number | null {
  if (!cabinet) return null
  const leftM = cabinet.xM - box.xM
  const frontM = cabinet.yM - box.yM
  const opens = (face: 'front' | 'left' | 'right', fromM: number, toM: number) =>
    cabinet.doors.some((door) => door.face === face && door.fromM <= fromM && toM <= door.toM)
  if (turned) {
    // Along the cabinet's width: the front may be a door, the back is not.
    const front = opens('front', place.fromXM - leftM, place.toXM - leftM)
    return Math.max(front ? OPEN_M : place.fromYM - frontM, frontM + cabinet.widthM - place.toYM)
  }
  const [fromM, toM] = [place.fromYM - frontM, place.toYM - frontM]
  return Math.max(
    opens('left', fromM, toM) ? OPEN_M : place.fromXM - leftM,
    opens('right', fromM, toM) ? OPEN_M : leftM + cabinet.lengthM - place.toXM,
  )
}
