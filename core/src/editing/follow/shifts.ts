import {
  type BasinDesign,
  chamberSpans,
  type DisplayTank,
  isInChamber,
  type Sump,
} from '../../design/index.ts'
import type { Point } from '../../run/index.ts'

/** Where something begins and ends along an axis, m. */
type Span = readonly [fromM: number, toM: number]

/** Nearer to a chamber's wall than this nothing is pushed, m (choice). */
const FROM_WALL_M = 0.03
const SAME_M = 1e-9

export const STAYS: Point = { xM: 0, yM: 0, zM: 0 }

export const isStill = ({ xM, yM, zM }: Point): boolean =>
  Math.abs(xM) < SAME_M && Math.abs(yM) < SAME_M && Math.abs(zM) < SAME_M

/** How far a place goes with the faces it stands between: with the nearer; with half of both in the middle. */
export function withNearerFace(atM: number, before: Span, after: Span): number {
  const toFrom = atM - before[0]
  const toEnd = before[1] - atM
  const [withFrom, withEnd] = [after[0] - before[0], after[1] - before[1]]
  if (Math.abs(toFrom - toEnd) < 2e-3) return (withFrom + withEnd) / 2
  return toFrom < toEnd ? withFrom : withEnd
}

/** How far what stood between two walls is pushed by them: along with both, else only out of a wall's way. */
export function pushedM(held: Span, before: Span, after: Span): number {
  const [withFrom, withEnd] = [after[0] - before[0], after[1] - before[1]]
  if (Math.abs(withFrom - withEnd) < SAME_M) return withFrom
  const least = after[0] + Math.min(Math.max(0, held[0] - before[0]), FROM_WALL_M)
  const most = after[1] - Math.min(Math.max(0, before[1] - held[1]), FROM_WALL_M)
  if (most - least < held[1] - held[0]) return 0
  return Math.max(least, Math.min(held[0], most - (held[1] - held[0]))) - held[0]
}

/** The faces of a tank in the room: along x, along y, and from its floor to the top of its panels. */
function facesOf(tank: DisplayTank): readonly [Span, Span, Span] {
  return [
    [tank.xM, tank.xM + tank.lengthM],
    [tank.yM, tank.yM + tank.widthM],
    [tank.floorHeightM, tank.floorHeightM + tank.heightM],
  ]
}

/** How far a place at a tank goes as the tank is moved, stood higher or made larger. */
export function withTank(at: Point, before: DisplayTank, after: DisplayTank): Point {
  const [fromX, fromY, fromZ] = facesOf(before)
  const [toX, toY, toZ] = facesOf(after)
  return {
    xM: withNearerFace(at.xM, fromX, toX),
    yM: withNearerFace(at.yM, fromY, toY),
    zM: withNearerFace(at.zM, fromZ, toZ),
  }
}

/** How far a place in a chamber goes as the sump is moved, stood higher, or its walls are. */
export function withItsChamber(at: Point, chamberId: string, before: Sump, after: Sump): Point {
  const spans = [before, after].map((sump) => spanOf(sump, chamberId))
  const [from, to] = spans
  if (!from || !to || !isInChamber(before, chamberId, at)) return STAYS
  return {
    xM: pushedM([at.xM, at.xM], from, to),
    yM: after.box!.yM - before.box!.yM,
    zM: after.box!.floorHeightM - before.box!.floorHeightM,
  }
}

/** A chamber's walls along the room; null: it is not there, or the sump has no sizes. */
function spanOf(sump: Sump, chamberId: string): Span | null {
  const at = sump.chambers.findIndex(({ id }) => id === chamberId)
  if (!sump.box || at < 0) return null
  const { fromM, toM } = chamberSpans(sump, sump.box.lengthM)[at]!
  return [sump.box.xM + fromM, sump.box.xM + toM]
}

/** Was a tank moved, stood higher or made larger? */
export function isMoved(before: DisplayTank, after: DisplayTank): boolean {
  if (before === after) return false
  const now = facesOf(after).flat()
  return facesOf(before)
    .flat()
    .some((face, i) => Math.abs(face - now[i]!) > SAME_M)
}

/** Did a sump's box or its walls move, with its chambers as they were? */
export function areWallsMoved(
  { sump: before }: BasinDesign,
  { sump: after }: BasinDesign,
): boolean {
  if (before === after || !before.box || !after.box) return false
  return (
    before.box !== after.box ||
    before.walls.some(({ atM }, i) => after.walls[i]?.atM !== atM) ||
    before.walls.length !== after.walls.length
  )
}
