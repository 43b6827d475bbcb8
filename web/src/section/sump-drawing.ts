import {
  chamberSpans,
  deviceRectangle,
  heightsOf,
  standsInWater,
  type BasinDesign,
  type Device,
  type SolvedBasin,
  type SumpBox,
} from '@yew-basin/core'
import type { Scale } from './scale.ts'

/** A chamber's water on the sheet. */
export interface DrawnChamber {
  readonly id: string
  readonly name: string
  readonly left: number
  readonly right: number
  readonly level: number
  readonly levelM: number
  readonly levelBandM: number
  readonly depthM: number
  readonly lengthM: number
  /** Room for its name beside its neighbours'. */
  readonly wide: boolean
}

/** A wall on the sheet: what of it stands, and where water may pass. */
export interface DrawnWall {
  readonly id: string
  readonly index: number
  readonly x: number
  readonly width: number
  readonly top: number
  readonly foot: number
  readonly teethPx: number
  readonly pipe: { readonly y: number; readonly r: number } | null
  readonly opaque: boolean
  readonly topM: number
}

/** A device on the sheet. */
export interface DrawnDevice {
  readonly id: string
  readonly name: string
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  readonly standPx: number
  /** Beside the sump: only its outline is drawn. */
  readonly outside: boolean
  readonly skims: boolean
}

export interface DrawnSump {
  readonly devices: readonly DrawnDevice[]

  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
  readonly chambers: readonly DrawnChamber[]
  readonly walls: readonly DrawnWall[]
  /** "Fill no higher than this while it runs", in the return chamber. */
  readonly fillLine: { readonly left: number; readonly right: number; readonly y: number } | null
  /** Where the water comes to rest after a power cut. */
  readonly still: number | null
  /** Where that is said: the right end of the longest chamber. */
  readonly stillTextX: number
}

/** A chamber narrower than this has no room for words, px. */
const WORDS_PX = 74

/** A sump with sizes, to scale; null while they are not set. */
export function drawSump(
  { sump }: BasinDesign,
  solved: SolvedBasin,
  scale: Scale,
): DrawnSump | null {
  const { box } = sump
  if (!box) return null
  const spans = chamberSpans(sump, box.lengthM)
  const x = (m: number) => scale.x(box.xM + m)
  const z = (m: number) => scale.y(box.floorHeightM + m)
  const chambers = sump.chambers.map((chamber, i): DrawnChamber => {
    const { fromM, toM } = spans[i]!
    const { levelM, levelBandM, depthM } = solved.sump.chambers[i]!
    return {
      id: chamber.id,
      name: chamber.name,
      left: x(fromM),
      right: x(toM),
      level: scale.y(levelM),
      levelM,
      levelBandM,
      depthM: depthM ?? 0,
      lengthM: toM - fromM,
      wide: (toM - fromM) * scale.pxPerM >= WORDS_PX,
    }
  })
  const walls = sump.walls.map((wall, index): DrawnWall => ({
    id: wall.id,
    index,
    x: x(wall.atM),
    width: Math.max(2, wall.thicknessM * scale.pxPerM),
    top: z(wall.topM),
    foot: z(wall.kind === 'under' ? wall.slotM : 0),
    teethPx: wall.kind === 'comb' && wall.teeth ? wall.teeth.heightM * scale.pxPerM : 0,
    pipe:
      wall.kind === 'pipe'
        ? { y: z(wall.pipeHeightM), r: Math.max(2, (wall.pipeBoreM / 2) * scale.pxPerM) }
        : null,
    opaque: wall.opaque,
    topM: wall.topM,
  }))
  const { outage, returnChamberId } = solved.sump
  const longest = chambers.reduce((a, b) => (b.right - b.left > a.right - a.left ? b : a))
  const at = chambers.find(({ id }) => id === returnChamberId)
  const lineM = outage?.fillLineM ?? null
  return {
    left: x(0),
    right: x(box.lengthM),
    top: z(box.heightM),
    bottom: z(0),
    chambers,
    walls,
    devices: sump.devices.map((device) => drawDevice(box, device, scale)),
    fillLine:
      at && lineM !== null
        ? {
            left: at.left,
            right: at.right,
            y: scale.y(Math.min(lineM, box.floorHeightM + box.heightM)),
          }
        : null,
    stillTextX: longest.right - 4,
    still: outage ? scale.y(Math.min(outage.stillM, box.floorHeightM + box.heightM)) : null,
  }
}

function drawDevice(box: SumpBox, device: Device, scale: Scale): DrawnDevice {
  const { fromXM, toXM } = deviceRectangle(device)
  const { footM, topM } = heightsOf(box, device)
  const inWater = standsInWater(device)
  return {
    id: device.id,
    name: device.name,
    x: scale.x(box.xM + fromXM),
    y: scale.y(topM),
    width: (toXM - fromXM) * scale.pxPerM,
    height: (topM - footM) * scale.pxPerM,
    standPx: inWater ? device.standM * scale.pxPerM : 0,
    outside: !inWater,
    skims: device.part.skimmer !== null,
  }
}
