import { deviceRectangle, type BasinDesign, type Rectangle } from '@yew-basin/core'

/** A place on the sheet for a place on the floor, from the sump's left front inside corner. */
export interface FloorScale {
  readonly pxPerM: number
  x(xM: number): number
  y(yM: number): number
}

const MARGIN_PX = 34

/** The cabinet's inside on the floor, from the sump's corner; null: none is told. */
export function cabinetRectangle({ sump }: BasinDesign): Rectangle | null {
  const { box, cabinet } = sump
  if (!box || !cabinet) return null
  const fromXM = cabinet.xM - box.xM
  const fromYM = cabinet.yM - box.yM
  return { fromXM, toXM: fromXM + cabinet.lengthM, fromYM, toYM: fromYM + cabinet.widthM }
}

/** The sump's outside. */
export function sumpRectangle({ sump }: BasinDesign): Rectangle {
  const { lengthM, widthM, panelM } = sump.box!
  return { fromXM: -panelM, toXM: lengthM + panelM, fromYM: -panelM, toYM: widthM + panelM }
}

/** Everything on the floor on a sheet, the front at the bottom. */
export function floorScale(design: BasinDesign, width: number, height: number): FloorScale {
  const all = [
    sumpRectangle(design),
    ...[cabinetRectangle(design)].filter((one) => one !== null),
    ...design.sump.devices.map(deviceRectangle),
  ]
  const fromXM = Math.min(...all.map((one) => one.fromXM))
  const toXM = Math.max(...all.map((one) => one.toXM))
  const fromYM = Math.min(...all.map((one) => one.fromYM))
  const toYM = Math.max(...all.map((one) => one.toYM))
  const pxPerM = Math.max(
    20,
    Math.min((width - 2 * MARGIN_PX) / (toXM - fromXM), (height - 2 * MARGIN_PX) / (toYM - fromYM)),
  )
  const left = (width - (toXM - fromXM) * pxPerM) / 2
  const bottom = height - (height - (toYM - fromYM) * pxPerM) / 2
  return {
    pxPerM,
    x: (xM) => left + (xM - fromXM) * pxPerM,
    y: (yM) => bottom - (yM - fromYM) * pxPerM,
  }
}

/** A rectangle of the floor as one of the sheet. */
export function onFloor(scale: FloorScale, { fromXM, toXM, fromYM, toYM }: Rectangle) {
  return {
    x: scale.x(fromXM),
    y: scale.y(toYM),
    width: (toXM - fromXM) * scale.pxPerM,
    height: (toYM - fromYM) * scale.pxPerM,
  }
}
