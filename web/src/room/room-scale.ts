import {
  cabinetRectangle,
  deviceRectangle,
  sumpRectangle,
  type BasinDesign,
  type Rectangle,
} from '@yew-basin/core'

/** A place on the sheet for a place on the floor, from the sump's left front inside corner. */
export interface FloorScale {
  readonly pxPerM: number
  x(xM: number): number
  y(yM: number): number
}

const MARGIN_PX = 34

/** Everything on the floor on a sheet, the front at the bottom. */
export function floorScale(design: BasinDesign, width: number, height: number): FloorScale {
  const all = [
    sumpRectangle(design.sump.box!),
    ...[cabinetRectangle(design.sump)].filter((rectangle) => rectangle !== null),
    ...design.sump.devices.map(deviceRectangle),
  ]
  const fromXM = Math.min(...all.map((rectangle) => rectangle.fromXM))
  const toXM = Math.max(...all.map((rectangle) => rectangle.toXM))
  const fromYM = Math.min(...all.map((rectangle) => rectangle.fromYM))
  const toYM = Math.max(...all.map((rectangle) => rectangle.toYM))
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
export function toFloorPlan(scale: FloorScale, { fromXM, toXM, fromYM, toYM }: Rectangle) {
  return {
    x: scale.x(fromXM),
    y: scale.y(toYM),
    width: (toXM - fromXM) * scale.pxPerM,
    height: (toYM - fromYM) * scale.pxPerM,
  }
}
