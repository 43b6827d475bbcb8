/** A place on a picture, px from its upper left corner. */
export interface Spot {
  readonly x: number
  readonly y: number
}

/** A place on an axis of a printed chart, and what is printed there. */
export interface AxisMark {
  readonly spot: Spot
  readonly value: number
}

/** Two marks on each axis of a chart in a picture, however it is turned or skewed. */
export interface AxisMarks {
  readonly flow: readonly [AxisMark, AxisMark]
  readonly head: readonly [AxisMark, AxisMark]
}

/** Turns places on the picture into values of the chart and back. */
export interface ChartAxes {
  readonly valueAt: (spot: Spot) => { readonly flow: number; readonly head: number }
  readonly spotOf: (flow: number, head: number) => Spot
}

/** Why four marked places of a picture give no axes. */
export type AxesFault = 'same-values' | 'same-spots' | 'parallel-axes'

/** Axes closer to parallel than this sine span no chart. */
const LEAST_SINE = 0.1

/**
 * A plane chart seen straight on: spot = origin + flow · u + head · v. Along the flow axis only flow
 * changes and along the head axis only head, so two marks on each give u and v; where the axes'
 * lines cross gives the origin.
 */
export function chartAxes({ flow, head }: AxisMarks): ChartAxes | AxesFault {
  const [f1, f2] = flow
  const [h1, h2] = head
  if (f1.value === f2.value || h1.value === h2.value) return 'same-values'
  const u = perValue(f1, f2)
  const v = perValue(h1, h2)
  const lengths = Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y)
  if (lengths === 0) return 'same-spots'
  const cross = u.x * v.y - u.y * v.x
  if (Math.abs(cross) < LEAST_SINE * lengths) return 'parallel-axes'
  // h1 = f1 + a u + b v: b is how far h1 stands above the flow axis.
  const apart = { x: h1.spot.x - f1.spot.x, y: h1.spot.y - f1.spot.y }
  const b = (u.x * apart.y - u.y * apart.x) / cross
  const headAtF1 = h1.value - b
  const origin = {
    x: f1.spot.x - f1.value * u.x - headAtF1 * v.x,
    y: f1.spot.y - f1.value * u.y - headAtF1 * v.y,
  }
  return {
    valueAt: ({ x, y }) => {
      const dx = x - origin.x
      const dy = y - origin.y
      return { flow: (dx * v.y - dy * v.x) / cross, head: (u.x * dy - u.y * dx) / cross }
    },
    spotOf: (atFlow, atHead) => ({
      x: origin.x + atFlow * u.x + atHead * v.x,
      y: origin.y + atFlow * u.y + atHead * v.y,
    }),
  }
}

function perValue(mark: AxisMark, other: AxisMark): Spot {
  const by = other.value - mark.value
  return { x: (other.spot.x - mark.spot.x) / by, y: (other.spot.y - mark.spot.y) / by }
}
