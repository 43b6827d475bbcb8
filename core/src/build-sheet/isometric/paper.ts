import type { Point } from '../../run/index.ts'

/** A place on paper, in the drawing's own units; x to the right, y down. */
export interface PaperSpot {
  readonly x: number
  readonly y: number
}

/** A place on paper, and how near to the eye it is there: the larger, the nearer. */
export interface DeepSpot extends PaperSpot {
  readonly near: number
}

/** Quarter turns of what is looked at, as seen from above. */
export type Turn = 0 | 1 | 2 | 3

/** How a distance between two neighbours along an axis is drawn, in units, from metres. */
export type Spacing = (gapM: number) => number

/** To no scale: long is longer than short, and what is short has room for its mark. */
export const TO_NO_SCALE: Spacing = (gapM) => 44 + 42 * Math.log2(1 + gapM / 0.15)

/** Nearly to scale: what stands close is drawn a little apart. */
export const NEARLY_TO_SCALE: Spacing = (gapM) => 10 + 420 * gapM

/** Nearer than this two things stand at one place of an axis, m. */
const SAME_M = 1e-3
/** An isometric's axes lie this far off level: cos 30° and sin 30°. */
const ACROSS = Math.cos(Math.PI / 6)
const ALONG = 0.5

/**
 * A sheet on which points of a room are drawn. Every axis keeps the order of all that stands along it and is
 * stretched or shortened between, so whatever meets in the room meets on paper.
 */
export function paperFor(
  points: readonly Point[],
  { spacing, turn }: { readonly spacing: Spacing; readonly turn: Turn },
): (point: Point) => DeepSpot {
  const along = (['xM', 'yM', 'zM'] as const).map((axis) =>
    axisOf(
      points.map((point) => point[axis]),
      spacing,
    ),
  )
  return ({ xM, yM, zM }) => {
    const [x, y] = turned(along[0]!(xM), along[1]!(yM), turn)
    const z = along[2]!(zM)
    // Seen from the front, from the right and from above: x leads right and down, y right and up.
    return { x: (x + y) * ACROSS, y: (x - y) * ALONG - z, near: x - y + z }
  }
}

function turned(x: number, y: number, turn: Turn): [number, number] {
  if (turn === 1) return [-y, x]
  if (turn === 2) return [-x, -y]
  return turn === 3 ? [y, -x] : [x, y]
}

/** One axis: places in their order, each so far after the last as the spacing says. */
function axisOf(values: readonly number[], spacing: Spacing): (valueM: number) => number {
  const stops: number[] = []
  for (const value of values.toSorted((a, b) => a - b))
    if (stops.length === 0 || value - stops.at(-1)! > SAME_M) stops.push(value)
  const drawn = [0]
  for (let i = 1; i < stops.length; i++)
    drawn.push(drawn[i - 1]! + spacing(stops[i]! - stops[i - 1]!))
  return (valueM) => {
    const after = stops.findIndex((stop) => stop > valueM + SAME_M)
    return drawn[after < 0 ? stops.length - 1 : Math.max(0, after - 1)]!
  }
}
