import {
  chamberSpans,
  type Device,
  standsInWater,
  type Sump,
  type SumpBox,
} from '../../design/index.ts'
import { clearanceM, type Rectangle, sticksOutM, widestGapM } from '../../device/index.ts'
import { memoize } from '../../numeric/index.ts'
import { pullOutOf } from './pull-out.ts'
import type { DeviceClearance } from './solved-treatment.ts'

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

/** The cabinet's inside, from the same corner; null: none is given. */
export function cabinetRectangle({ box, cabinet }: Sump): Rectangle | null {
  if (!box || !cabinet) return null
  const fromXM = cabinet.xM - box.xM
  const fromYM = cabinet.yM - box.yM
  return { fromXM, toXM: fromXM + cabinet.lengthM, fromYM, toYM: fromYM + cabinet.widthM }
}

/** The sump with its panels. */
export function sumpRectangle({ lengthM, widthM, panelM }: SumpBox): Rectangle {
  return { fromXM: -panelM, toXM: lengthM + panelM, fromYM: -panelM, toYM: widthM + panelM }
}

/** Foot and top of a device over the room's floor. */
export function heightsOf(box: SumpBox, device: Device): { footM: number; topM: number } {
  const footM = (standsInWater(device) ? box.floorHeightM : 0) + device.standM
  return { footM, topM: footM + device.part.heightM }
}

/** Touching is not running into each other, m. */
const TOUCH_M = 1e-9

/** Two devices in one place at one height. */
function meet(box: SumpBox, device: Device, other: Device): boolean {
  if (standsInWater(device) !== standsInWater(other)) return false
  const a = heightsOf(box, device)
  const b = heightsOf(box, other)
  const atOneHeight = a.footM < b.topM - TOUCH_M && b.footM < a.topM - TOUCH_M
  return atOneHeight && clearanceM(deviceRectangle(device), deviceRectangle(other)) < -TOUCH_M
}

/** What is free over a device, m; null: no cabinet is given. */
export function aboveM({ box, cabinet }: Sump, device: Device): number | null {
  return box && cabinet ? cabinet.topM - heightsOf(box, device).topM : null
}

/** The room of each of a sump's devices, in their order. No water moves it: a sump is looked at once. */
export const clearancesOf = memoize((sump: Sump) =>
  sump.devices.map((device) => clearanceOf(sump, device)),
)

/** The room a device has in its chamber, or in the cabinet beside the sump; null: no sizes are given. */
export function clearanceOf(sump: Sump, device: Device): DeviceClearance | null {
  const { box, cabinet, devices, chambers } = sump
  const inWater = standsInWater(device)
  const index = chambers.findIndex(({ id }) => id === device.chamberId)
  if (!box) return null
  const place = deviceRectangle(device)
  const around = inWater ? chamberRectangle(sump, box, index) : cabinetRectangle(sump)
  const { footM, topM } = heightsOf(box, device)
  const overRimM = box.floorHeightM + box.heightM
  const over = !inWater && clearanceM(place, sumpRectangle(box)) < -TOUCH_M
  const pullOut =
    device.part.sterilizer && cabinet
      ? pullOutOf(cabinet, box, { place, turned: device.turned, footM, topM })
      : null
  return {
    place,
    inWater,
    sticksOutM: around ? sticksOutM(place, around) : 0,
    handM: around ? widestGapM(place, around) : null,
    collidesWith: devices
      .filter((other) => other.id !== device.id && meet(box, device, other))
      .map(({ id }) => id),
    runsIntoSump: over && footM < overRimM,
    overSump: over && footM >= overRimM,
    aboveM: aboveM(sump, device),
    liftsOutM: cabinet && inWater ? cabinet.topM - overRimM - device.part.heightM : null,
    pullOutM: pullOut?.freeM ?? null,
    pullsThroughDoor: pullOut?.throughDoor ?? false,
  }
}
