import { type Rectangle, sticksOutM } from '../device/index.ts'
import type { Point } from '../run/index.ts'
import { chamberSpans, type Sump } from './sump.ts'

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
  return sticksOutM(planOf({ xM, yM, lengthM: 0, widthM: 0 }), planOf(placed)) <= withinM
}

/** Every chamber in plan, in their order; none while the sump has no sizes. */
function chambersInPlan(sump: Sump): readonly Placed[] {
  const { box } = sump
  if (!box) return []
  return chamberSpans(sump, box.lengthM).map(({ fromM, toM }) => ({
    xM: box.xM + fromM,
    yM: box.yM,
    lengthM: toM - fromM,
    widthM: box.widthM,
  }))
}

const chamberInPlan = (sump: Sump, chamberId: string): Placed | undefined =>
  chambersInPlan(sump)[sump.chambers.findIndex(({ id }) => id === chamberId)]

/** The chamber over or in which a place lies; −1: it lies outside the sump. */
export function chamberAt(sump: Sump, place: InPlan): number {
  return chambersInPlan(sump).findIndex((chamber) => isInPlan(chamber, place, AT_WALL_M))
}

/** Does a place lie over a chamber, to a wall's thickness? A chamber without sizes is anywhere. */
export function isInChamber(sump: Sump, chamberId: string, place: InPlan): boolean {
  const chamber = chamberInPlan(sump, chamberId)
  return chamber === undefined || isInPlan(chamber, place, AT_WALL_M)
}

/** The middle of a chamber in plan; null: the sump has no sizes. */
export function middleOfChamber(sump: Sump, chamberId: string): InPlan | null {
  const chamber = chamberInPlan(sump, chamberId)
  if (!chamber) return null
  return { xM: chamber.xM + chamber.lengthM / 2, yM: chamber.yM + chamber.widthM / 2 }
}
