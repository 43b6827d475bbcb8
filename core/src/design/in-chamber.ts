import { chamberSpans, type Sump } from './sump.ts'
import type { Point } from '../run/index.ts'

/** Nearer to a wall than this it is still on its side of it, m. */
const AT_WALL_M = 2e-3

/** The chamber over or in which a place lies; −1: it lies outside the sump. */
export function chamberAt(sump: Sump, { xM, yM }: Point): number {
  const { box } = sump
  if (!box) return -1
  if (yM < box.yM - AT_WALL_M || yM > box.yM + box.widthM + AT_WALL_M) return -1
  const alongM = xM - box.xM
  return chamberSpans(sump, box.lengthM).findIndex(
    ({ fromM, toM }) => alongM >= fromM - AT_WALL_M && alongM <= toM + AT_WALL_M,
  )
}

/** Does a place lie over a chamber, to a wall's thickness? */
export function isInChamber(sump: Sump, chamberId: string, place: Point): boolean {
  const { box, chambers } = sump
  if (!box) return true
  const index = chambers.findIndex(({ id }) => id === chamberId)
  const span = chamberSpans(sump, box.lengthM)[index]
  if (!span) return true
  const alongM = place.xM - box.xM
  return (
    place.yM >= box.yM - AT_WALL_M &&
    place.yM <= box.yM + box.widthM + AT_WALL_M &&
    alongM >= span.fromM - AT_WALL_M &&
    alongM <= span.toM + AT_WALL_M
  )
}

/** The middle of a chamber in plan; null: the sump has no sizes. */
export function middleOfChamber(sump: Sump, chamberId: string): Pick<Point, 'xM' | 'yM'> | null {
  const { box, chambers } = sump
  const index = chambers.findIndex(({ id }) => id === chamberId)
  const span = box ? chamberSpans(sump, box.lengthM)[index] : undefined
  if (!box || !span) return null
  return { xM: box.xM + (span.fromM + span.toM) / 2, yM: box.yM + box.widthM / 2 }
}
