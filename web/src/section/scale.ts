import type { BasinDesign, Point, SolvedBasin } from '@yew-basin/core'

/** Which way the sheet looks: from the front, or from above. */
export type SheetView = 'section' | 'plan'

/** What of the room a sheet shows, m: x along the tank; upwards z above the floor, or y to the back. */
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
  /** Of a height in the section, of a depth in the plan. */
  readonly y: (upM: number) => number
}

/** A sheet: its scale and which way it looks. */
export interface Sheet {
  readonly view: SheetView
  readonly scale: Scale
}

/** Where a point of the room stands on a sheet. */
export function onSheet({ view, scale }: Sheet, point: Point): { x: number; y: number } {
  return { x: scale.x(point.xM), y: scale.y(view === 'plan' ? point.yM : point.zM) }
}

/** Room left free round the drawing for dimension lines and labels, px. */
const MARGIN = { left: 66, right: 78, top: 52, bottom: 30 }
/** On a narrow sheet its switches take so much of the top, px. */
export const SWITCHES_PX = 56
const SMALL_MARGIN = { left: 22, right: 50, top: SWITCHES_PX + 20, bottom: 22 }
/** A sheet narrower than this has no room for words in the drawing, px. */
const SMALL_PX = 520
/** Width of the sump's water that is drawn round the pump, m each side. */
export const SUMP_REACH_M = 0.28
/** Width of a chamber's water that is drawn round a line that ends in it, m each side. */
export const CHAMBER_REACH_M = 0.1
/** With more empty height than this under everything, the stand is drawn cut. */
const MOST_EMPTY_M = 0.45
const CUT_STAND_M = 0.16

export function isSmall(width: number): boolean {
  return width < SMALL_PX
}

/** Does a pump draw from water that stands behind a tank, as in an all-in-one? */
export function drawsFromBehind(design: BasinDesign, pumpIndex: number): boolean {
  const placed = design.returnSide.pumps[pumpIndex]!
  const chamber = design.sump.chambers.find(({ id }) => id === placed.chamberId)
  return (chamber?.levelM ?? 0) > design.tanks[0]!.floorHeightM
}

/** Every place that a line passes, and where the pumps stand. */
function pointsOf(design: BasinDesign, { returnSide, drains }: SolvedBasin): Point[] {
  return [
    ...design.returnSide.pumps.map(({ outlet }) => outlet),
    ...[...returnSide.lines, ...drains].flatMap((line) =>
      line.pieces.flatMap((piece) => [piece.from, piece.to]).concat(line.start, line.mouth),
    ),
    ...boxCorners(design),
  ]
}

/** Two corners of the sump and of every overflow box. */
function boxCorners({ sump, tanks }: BasinDesign): Point[] {
  const { box } = sump
  const corners = tanks.flatMap(({ overflow, floorHeightM }) => {
    const own = overflow?.box
    if (!own) return []
    const { xM, yM, lengthM, widthM, floorM, rimM } = own
    return [
      { xM, yM, zM: floorHeightM + floorM },
      { xM: xM + lengthM, yM: yM + widthM, zM: floorHeightM + rimM },
    ]
  })
  if (!box) return corners
  const { xM, yM, floorHeightM, lengthM, widthM, heightM } = box
  return [
    ...corners,
    { xM, yM, zM: floorHeightM },
    { xM: xM + lengthM, yM: yM + widthM, zM: floorHeightM + heightM },
  ]
}

/** The least window that holds the tanks, the lines and the water they draw from; down to the floor unless that is far below. */
export function windowOf(
  design: BasinDesign,
  solved: SolvedBasin,
  view: SheetView = 'section',
): RoomWindow {
  const points = pointsOf(design, solved)
  const xs = [
    ...design.tanks.flatMap((tank) => [tank.xM, tank.xM + tank.lengthM]),
    ...design.returnSide.pumps.flatMap(({ outlet }, i) =>
      drawsFromBehind(design, i) || design.sump.box
        ? []
        : [outlet.xM - SUMP_REACH_M, outlet.xM + SUMP_REACH_M],
    ),
    ...points.map((point) => point.xM),
  ]
  const across = { left: Math.min(...xs), right: Math.max(...xs) }
  if (view === 'plan') {
    const ys = [
      ...design.tanks.flatMap((tank) => [tank.yM, tank.yM + tank.widthM]),
      ...points.map((point) => point.yM),
    ]
    return { ...across, bottom: Math.min(...ys), top: Math.max(...ys) }
  }
  const zs = [
    ...design.tanks.flatMap((tank) => [tank.floorHeightM, tank.floorHeightM + tank.heightM]),
    ...design.sump.chambers.map(({ levelM }) => levelM),
    ...points.map((point) => point.zM),
  ]
  const lowest = Math.min(...zs)
  return {
    ...across,
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
    y: (upM) => y0 - (upM - room.bottom) * pxPerM,
  }
}

/** "1 : 8" for a screen of 96 dots to the inch. */
export function scaleWords({ pxPerM }: Scale): string {
  const ratio = 96 / 0.0254 / pxPerM
  return `1 : ${ratio < 20 ? ratio.toFixed(1) : Math.round(ratio)}`
}
