import {
  type BasinDesign,
  type Cabinet,
  chamberSpans,
  type ChamberUse,
  type Device,
} from '../design/index.ts'
import type { DeviceKind, DevicePart } from '../device/index.ts'
import { NEW_LAMP, swapped } from '../figures/index.ts'

/** Chambers a kind of device is first put into, best first; the others go beside the sump. */
const HOME: Readonly<Partial<Record<DeviceKind, readonly ChamberUse[]>>> = {
  skimmer: ['skimmer', 'socks', 'return'],
  heater: ['return', 'skimmer'],
}
/** Room left between the sump and what is put behind it, m. */
const BEHIND_M = 0.03
/** A hand's room round the sump, and the thickness of a stand's top, m (choice). */
const ROUND_M = 0.05
const TOP_M = 0.04
const LEAST_CLEAR_M = 0.3

/** A device of this design where it may stand first: in its chamber's middle or behind the sump, in the line that has a piece for it. */
export function newDevice(design: BasinDesign, part: DevicePart, id: string): Device {
  const chamberId = homeOf(design, part)
  const inWater = chamberId !== null && (part.skimmer === null || part.skimmer.form === 'internal')
  return {
    id,
    name: part.name,
    part,
    chamberId,
    ...placeIn(design, inWater ? chamberId : null, part),
    turned: false,
    standM: 0,
    speed: 1,
    lineId: lineFor(design, part),
    pieceId: null,
    lamp: part.sterilizer ? NEW_LAMP : null,
  }
}

/** Another part in a device's place; one that stands outside the water goes behind the sump. */
export function deviceSwappedIn(
  design: BasinDesign,
  now: Device,
  part: DevicePart,
  standM: number,
): Device {
  const device = swapped(now, part, standM)
  const form = part.skimmer?.form ?? null
  if (form === (now.part.skimmer?.form ?? null)) return device
  const chamberId = form === 'internal' ? device.chamberId : null
  return { ...device, ...placeIn(design, chamberId, part) }
}

function homeOf({ sump }: BasinDesign, { kind }: DevicePart): string | null {
  const wanted = HOME[kind]
  if (!wanted) return null
  for (const use of wanted) {
    const found = sump.chambers.find((chamber) => chamber.use === use)
    if (found) return found.id
  }
  return sump.chambers[0]!.id
}

/** A meter goes into a lamp's line; another kind where a piece waits for its device. */
function lineFor({ returnSide, sump }: BasinDesign, { kind }: DevicePart): string | null {
  const use = kind === 'flow-meter' ? 'sterilizer' : kind
  const taken = new Set(kind === 'flow-meter' ? [] : sump.devices.map(({ pieceId }) => pieceId))
  const found = returnSide.lines.find(({ run }) =>
    run.pieces.some(
      (piece) => piece.kind === 'device' && piece.use === use && !taken.has(piece.id),
    ),
  )
  return found?.id ?? null
}

/** In the middle of its chamber, or behind the sump. */
function placeIn(
  { sump }: BasinDesign,
  chamberId: string | null,
  part: DevicePart,
): { xM: number; yM: number } {
  const { box, chambers } = sump
  const at = chambers.findIndex(({ id }) => id === chamberId)
  if (!box) return { xM: 0, yM: 0 }
  if (at < 0) return { xM: 0, yM: box.widthM + BEHIND_M }
  const { fromM, toM } = chamberSpans(sump, box.lengthM)[at]!
  return {
    xM: fromM + Math.max(0, (toM - fromM - part.lengthM) / 2),
    yM: Math.max(0, (box.widthM - part.widthM) / 2),
  }
}

/** A cabinet to begin from: a hand's room round the sump, up to the lowest tank, one door in its front. */
export function newCabinet({ sump, tanks }: BasinDesign, doorId: string): Cabinet | null {
  if (!sump.box) return null
  const { xM, yM, lengthM, widthM } = sump.box
  const wideM = lengthM + 2 * ROUND_M
  const topM = Math.max(
    LEAST_CLEAR_M,
    Math.min(...tanks.map(({ floorHeightM }) => floorHeightM)) - TOP_M,
  )
  return {
    xM: xM - ROUND_M,
    yM: yM - ROUND_M,
    lengthM: wideM,
    widthM: widthM + 2 * ROUND_M,
    topM,
    doors: [
      {
        id: doorId,
        face: 'front',
        fromM: TOP_M,
        toM: wideM - TOP_M,
        bottomM: ROUND_M,
        topM: topM - TOP_M,
      },
    ],
  }
}
