import {
  type BasinDesign,
  type Cabinet,
  type CabinetDoor,
  standsInWater,
  type Sump,
  type SumpBox,
} from '../../design/index.ts'
import type { Rectangle } from '../../device/index.ts'
import { deviceRectangle } from './place.ts'

/** A way out of the cabinet, against the sump's outside. */
export interface WayOut {
  /** The door, or two with the brace between them taken out. */
  readonly doorIds: readonly string[]
  readonly face: CabinetDoor['face']
  readonly needsM: number
  readonly hasM: number
  readonly needsHeightM: number
  readonly hasHeightM: number
  readonly passes: boolean
}

/** What must come out before the sump can. */
export interface TakeOut {
  /** Of all ways, the first that passes, doors before a brace; null: none does. */
  readonly way: WayOut | null
  readonly ways: readonly WayOut[]
  /** Devices that stand higher than the way is, or in front of it. */
  readonly firstOut: readonly string[]
}

/** The sump drawn level through a door, its panels and all; null: no sizes or no cabinet are given. */
export function takeOutOf({ sump }: BasinDesign): TakeOut | null {
  const { box, cabinet } = sump
  if (!box || !cabinet) return null
  const ways = [...singleDoors(box, cabinet), ...acrossBrace(box, cabinet)]
  const way = ways.find(({ passes }) => passes) ?? null
  return { way, ways, firstOut: way ? inTheWay(sump, box, way) : [] }
}

function outside(box: SumpBox) {
  return {
    lengthM: box.lengthM + 2 * box.panelM,
    widthM: box.widthM + 2 * box.panelM,
    heightM: box.heightM + box.panelM,
  }
}

function wayThrough(box: SumpBox, doors: readonly CabinetDoor[]): WayOut {
  const { face } = doors[0]!
  const { lengthM, widthM, heightM } = outside(box)
  const needsM = face === 'front' ? lengthM : widthM
  const hasM = Math.max(...doors.map(({ toM }) => toM)) - Math.min(...doors.map((d) => d.fromM))
  const hasHeightM =
    Math.min(...doors.map((d) => d.topM)) - Math.max(...doors.map((d) => d.bottomM))
  return {
    doorIds: doors.map(({ id }) => id),
    face,
    needsM,
    hasM,
    needsHeightM: heightM,
    hasHeightM,
    passes: needsM <= hasM && heightM <= hasHeightM,
  }
}

const singleDoors = (box: SumpBox, { doors }: Cabinet) =>
  doors.map((door) => wayThrough(box, [door]))

/** Two doors beside each other, and what stands between them out. */
function acrossBrace(box: SumpBox, { doors }: Cabinet): WayOut[] {
  const ordered = [...doors].sort((a, b) => a.fromM - b.fromM)
  return (['front', 'left', 'right'] as const).flatMap((face) => {
    const own = ordered.filter((door) => door.face === face)
    return own.slice(1).map((door, i) => wayThrough(box, [own[i]!, door]))
  })
}

/** Taller than the way once it stands in the sump, or on the floor between sump and door. */
function inTheWay({ devices }: Sump, box: SumpBox, { face, hasHeightM }: WayOut): string[] {
  const { panelM } = box
  return devices
    .filter((device) => {
      const { part, standM } = device
      if (standsInWater(device)) return panelM + standM + part.heightM > hasHeightM
      return standM < box.heightM && between(deviceRectangle(device), box, face)
    })
    .map(({ id }) => id)
}

function between(place: Rectangle, box: SumpBox, face: CabinetDoor['face']): boolean {
  const alongX = place.toXM > 0 && place.fromXM < box.lengthM
  const alongY = place.toYM > 0 && place.fromYM < box.widthM
  if (face === 'front') return alongX && place.fromYM < 0
  return alongY && (face === 'left' ? place.fromXM < 0 : place.toXM > box.lengthM)
}
