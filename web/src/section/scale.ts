import type { BasinDesign, Point, SolvedBasin } from '@yew-basin/core'

/** What of the room the section shows, m: x along the tank, z above the room's floor. */
export interface RoomWindow {
  readonly left: number
  readonly right: number
  readonly bottom: number
  readonly top: number
}

/** Turns places in the room into places on the sheet, at one scale both ways. */
export interface Scale {
  readonly pxPerM: number
  readonly x: (xM: number) => number
  readonly y: (zM: number) => number
}

/** Room left free round the drawing for dimension lines and labels, px. */
const MARGIN = { left: 66, right: 78, top: 52, bottom: 30 }
const SMALL_MARGIN = { left: 22, right: 50, top: 50, bottom: 22 }
/** A sheet narrower than this has no room for words in the drawing, px. */
const SMALL_PX = 520
/** Width of the sump's water that is drawn round the pump, m each side. */
export const SUMP_REACH_M = 0.28
/** With more empty height than this under everything, the stand is drawn cut. */
const MOST_EMPTY_M = 0.45
const CUT_STAND_M = 0.16

export function isSmall(width: number): boolean {
  return width < SMALL_PX
}

/** The least window that holds the tank, the run and the water it draws from; down to the floor unless that is far below. */
export function windowOf(design: BasinDesign, solved: SolvedBasin): RoomWindow {
  const { tank, returnSide } = design
  const points: Point[] = [
    returnSide.outlet,
    ...solved.returnSide.pieces.flatMap((piece) => [piece.from, piece.to]),
  ]
  const xs = [
    0,
    tank.lengthM,
    ...(returnSide.sourceLevelM > tank.floorHeightM
      ? []
      : [returnSide.outlet.xM - SUMP_REACH_M, returnSide.outlet.xM + SUMP_REACH_M]),
    ...points.map((point) => point.xM),
  ]
  const zs = [
    tank.floorHeightM,
    tank.floorHeightM + tank.heightM,
    returnSide.sourceLevelM,
    ...points.map((point) => point.zM),
  ]
  const lowest = Math.min(...zs)
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    bottom: lowest > MOST_EMPTY_M ? lowest - CUT_STAND_M : Math.min(0, lowest),
    top: Math.max(...zs),
  }
}

/** Fits a window of the room on a sheet, centred, to scale. */
export function scaleFor(room: RoomWindow, width: number, height: number): Scale {
  const roomWidth = Math.max(0.05, room.right - room.left)
  const roomHeight = Math.max(0.05, room.top - room.bottom)
  const margin = isSmall(width) ? SMALL_MARGIN : MARGIN
  const free = {
    width: Math.max(40, width - margin.left - margin.right),
    height: Math.max(40, height - margin.top - margin.bottom),
  }
  const pxPerM = Math.min(free.width / roomWidth, free.height / roomHeight)
  const x0 = margin.left + (free.width - roomWidth * pxPerM) / 2
  const y0 = margin.top + (free.height + roomHeight * pxPerM) / 2
  return {
    pxPerM,
    x: (xM) => x0 + (xM - room.left) * pxPerM,
    y: (zM) => y0 - (zM - room.bottom) * pxPerM,
  }
}

/** "1 : 8" for a screen of 96 dots to the inch. */
export function scaleWords({ pxPerM }: Scale): string {
  const ratio = 96 / 0.0254 / pxPerM
  return `1 : ${ratio < 20 ? ratio.toFixed(1) : Math.round(ratio)}`
}
