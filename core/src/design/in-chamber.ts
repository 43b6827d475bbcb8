import type { Rectangle } from '../device/index.ts'
import type { Point } from '../run/index.ts'
import { chamberSpans, type Sump, type SumpBox } from './sump.ts'

/** Nearer to a wall than this it is still on its side of it, m. */
const AT_WALL_M = 2e-3

type InPlan = Pick<Point, 'xM' | 'yM'>

/** What has a place in the room and a size in plan: a tank, a box, a sump. */
interface Placed extends InPlan {
  readonly lengthM: number
  readonly widthM: number
}

/** Its rectangle in the room. */
export function planOf({ xM, yM, lengthM, widthM }: Placed): Rectangle {
  return { fromXM: xM, toXM: xM + lengthM, fromYM: yM, toYM: yM + widthM }
}

/** Does a place lie over something, or nearer to it than `withinM`? */
export function isInPlan(placed: Placed, { xM, yM }: InPlan, withinM = 0): boolean {
  return (
    xM >= placed.xM - withinM &&
    xM <= placed.xM + placed.lengthM + withinM &&
    yM >= placed.yM - withinM &&
    yM <= placed.yM + placed.widthM + withinM
  )
}

/** Does a place lie over the chamber at an index, to a wall's thickness? */
function isOver(sump: Sump, box: SumpBox, index: number, { xM, yM }: InPlan): boolean {
  const { fromM, toM } = chamberSpans(sump, box.lengthM)[index]!
  return (
    xM >= box.xM + fromM - AT_WALL_M &&
    xM <= box.xM + toM + AT_WALL_M &&
    yM >= box.yM - AT_WALL_M &&
    yM <= box.yM + box.widthM + AT_WALL_M
  )
}

/** The chamber over or in which a place lies; −1: it lies outside the sump. */
export function chamberAt(sump: Sump, place: InPlan): number {
  const { box, chambers } = sump
  return box ? chambers.findIndex((_, index) => isOver(sump, box, index, place)) : -1
}

/** Does a place lie over a chamber, to a wall's thickness? A chamber without sizes is anywhere. */
export function isInChamber(sump: Sump, chamberId: string, place: InPlan): boolean {
  const { box, chambers } = sump
  const index = chambers.findIndex(({ id }) => id === chamberId)
  return !box || index < 0 || isOver(sump, box, index, place)
}

/** The middle of a chamber in plan; null: the sump has no sizes. */
export function middleOfChamber(sump: Sump, chamberId: string): InPlan | null {
  const { box, chambers } = sump
  const index = chambers.findIndex(({ id }) => id === chamberId)
  if (!box || index < 0) return null
  const { fromM, toM } = chamberSpans(sump, box.lengthM)[index]!
  return { xM: box.xM + (fromM + toM) / 2, yM: box.yM + box.widthM / 2 }
}
