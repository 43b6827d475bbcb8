import type { Scale } from './scale.ts'

/** How a sheet is looked at: enlarged so many times, and moved by so much of the window, px. */
export interface Lens {
  readonly zoom: number
  readonly x: number
  readonly y: number
}

/** The whole sheet, as it fits. */
export const WHOLE: Lens = { zoom: 1, x: 0, y: 0 }
/** Nearer than this a pipe fills the window. */
export const MOST_ZOOM = 12
/** One step of a key or a button. */
export const ZOOM_STEP = 1.4

/** A window the sheet is seen in, px. */
export interface WindowSize {
  readonly width: number
  readonly height: number
}
/** A place in the window, px. */
export interface WindowPlace {
  readonly x: number
  readonly y: number
}

/** The sheet's scale when it is enlarged so many times. */
export type ScaleAt = (zoom: number) => Scale

/** A lens that shows no place beside the sheet. */
export function within({ zoom, x, y }: Lens, { width, height }: WindowSize): Lens {
  const near = Math.min(MOST_ZOOM, Math.max(1, zoom))
  const held = (at: number, size: number) => Math.min(0, Math.max(size - size * near, at))
  return { zoom: near, x: held(x, width), y: held(y, height) }
}

/** Another zoom: what stands under a place of the window stays there. */
export function zoomedAt(
  lens: Lens,
  zoom: number,
  at: WindowPlace,
  { size, scaleAt }: { readonly size: WindowSize; readonly scaleAt: ScaleAt },
): Lens {
  const near = Math.min(MOST_ZOOM, Math.max(1, zoom))
  const [now, then] = [scaleAt(lens.zoom), scaleAt(near)]
  const xM = (at.x - lens.x - now.x(0)) / now.pxPerM
  const upM = (now.y(0) - (at.y - lens.y)) / now.pxPerM
  return within({ zoom: near, x: at.x - then.x(xM), y: at.y - then.y(upM) }, size)
}

/** A part of the window as it is now. */
export interface WindowPart extends WindowPlace, WindowSize {}

/** Of the window, what stays free round a thing that is fitted in. */
const FREE_SHARE = 0.15

/** The lens that fills the window with a part of it. */
export function fittedTo(
  lens: Lens,
  part: WindowPart,
  given: { readonly size: WindowSize; readonly scaleAt: ScaleAt },
): Lens {
  const { size } = given
  const share = 1 - 2 * FREE_SHARE
  const more = Math.min(
    (size.width * share) / Math.max(1, part.width),
    (size.height * share) / Math.max(1, part.height),
  )
  const middle = { x: part.x + part.width / 2, y: part.y + part.height / 2 }
  const near = zoomedAt(lens, lens.zoom * more, middle, given)
  // What stood at the part's middle is brought to the window's.
  const { scaleAt } = given
  const [now, then] = [scaleAt(lens.zoom), scaleAt(near.zoom)]
  const xM = (middle.x - lens.x - now.x(0)) / now.pxPerM
  const upM = (now.y(0) - (middle.y - lens.y)) / now.pxPerM
  return within(
    { zoom: near.zoom, x: size.width / 2 - then.x(xM), y: size.height / 2 - then.y(upM) },
    size,
  )
}
