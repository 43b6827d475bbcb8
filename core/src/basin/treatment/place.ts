import { clearanceM, sticksOutM, widestGapM, type Rectangle } from '../../device/plan.ts'
import { standsInWater } from '../contents.ts'
import type { BasinDesign } from '../design.ts'
import type { Device } from '../devices.ts'
import { chamberSpans, type Sump, type SumpBox } from '../sump.ts'
import type { SolvedRoom } from './solved-treatment.ts'

/** A device's box on the floor, from the sump's left front inside corner. */
export function deviceRectangle({ part, xM, yM, turned }: Device): Rectangle {
  const alongM = turned ? part.widthM : part.lengthM
  const acrossM = turned ? part.lengthM : part.widthM
  return { fromXM: xM, toXM: xM + alongM, fromYM: yM, toYM: yM + acrossM }
}

/** A chamber's floor, from the sump's left front inside corner. */
export function chamberRectangle(sump: Sump, box: SumpBox, index: number): Rectangle {
  const { fromM, toM } = chamberSpans(sump, box.lengthM)[index]!
  return { fromXM: fromM, toXM: toM, fromYM: 0, toYM: box.widthM }
}

/** Touching is not running into each other, m. */
const TOUCH_M = 1e-9

/** The room a device has in its chamber; null: it stands in none, or the sump has no sizes. */
export function roomOf({ sump }: BasinDesign, device: Device): SolvedRoom | null {
  const { box, cabinet, devices, chambers } = sump
  const index = chambers.findIndex(({ id }) => id === device.chamberId)
  if (!box || index < 0 || !standsInWater(device)) return null
  const place = deviceRectangle(device)
  const chamber = chamberRectangle(sump, box, index)
  const { heightM } = device.part
  return {
    place,
    sticksOutM: sticksOutM(place, chamber),
    handM: widestGapM(place, chamber),
    collidesWith: devices
      .filter(
        (other) =>
          other.id !== device.id &&
          other.chamberId === device.chamberId &&
          standsInWater(other) &&
          clearanceM(place, deviceRectangle(other)) < -TOUCH_M,
      )
      .map(({ id }) => id),
    aboveM: cabinet ? cabinet.topM - (box.floorHeightM + device.standM + heightM) : null,
    liftsOutM: cabinet ? cabinet.topM - (box.floorHeightM + box.heightM) - heightM : null,
  }
}
