/** Faces between cells of water, by the places of both in the list of cells, and what passes each, m³/s. */
export interface Faces {
  readonly from: Int32Array
  readonly to: Int32Array
  readonly flow: Float64Array
}

const MOST_ROUNDS = 600
const SMALL = 1e-8

/**
 * Changes the flows as little as can be so that what comes into each cell leaves it: flow less the
 * difference of a potential, ∇²φ = div − source, by conjugate gradients. Rounds it took.
 */
export function makeDivergenceFree(faces: Faces, source: Float64Array): number {
  const residual = divergence(faces, source)
  const potential = new Float64Array(residual.length)
  const way = residual.slice()
  const pushed = new Float64Array(residual.length)
  let size = dotOf(residual, residual)
  const enough = size * SMALL ** 2
  let rounds = 0
  while (size > enough && size > 0 && rounds < MOST_ROUNDS) {
    laplace(faces, way, pushed)
    const along = dotOf(way, pushed)
    if (along <= 0) break
    const step = size / along
    for (let i = 0; i < way.length; i++) {
      potential[i]! += step * way[i]!
      residual[i]! -= step * pushed[i]!
    }
    const next = dotOf(residual, residual)
    const turn = next / size
    for (let i = 0; i < way.length; i++) way[i] = residual[i]! + turn * way[i]!
    size = next
    rounds++
  }
  const { from, to, flow } = faces
  for (let f = 0; f < flow.length; f++) flow[f]! -= potential[from[f]!]! - potential[to[f]!]!
  return rounds
}

/** What leaves each cell over what comes in and its source, m³/s. */
export function divergence({ from, to, flow }: Faces, source: Float64Array): Float64Array {
  const over = source.map((other) => -other)
  for (let f = 0; f < flow.length; f++) {
    over[from[f]!]! += flow[f]!
    over[to[f]!]! -= flow[f]!
  }
  return over
}

/** Sum over a cell's faces of its potential less its neighbour's. */
function laplace({ from, to }: Faces, potential: Float64Array, out: Float64Array): void {
  out.fill(0)
  for (let f = 0; f < from.length; f++) {
    const difference = potential[from[f]!]! - potential[to[f]!]!
    out[from[f]!]! += difference
    out[to[f]!]! -= difference
  }
}

function dotOf(a: Float64Array, b: Float64Array): number {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!
  return sum
}
