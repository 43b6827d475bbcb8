import { memoize } from '../numeric/index.ts'
import { AIR, type Grid, WATER } from './grid.ts'

/** From each cell's middle to the nearest wall, in cells; zero in what is solid. The air is no wall. Found once a grid. */
export const wallDistance: (grid: Grid) => Float32Array = memoize(distancesOf)

function distancesOf({ cellsX, cellsY, cellsZ, fill }: Grid): Float32Array {
  const far = (cellsX + cellsY + cellsZ) ** 2
  const squares = Float64Array.from(fill, (cell) => (cell === WATER || cell === AIR ? far : 0))
  along(squares, { count: cellsX, stride: 1 }, (i) => i * cellsX)
  along(
    squares,
    { count: cellsY, stride: cellsX },
    (i) => Math.floor(i / cellsX) * cellsX * cellsY + (i % cellsX),
  )
  along(squares, { count: cellsZ, stride: cellsX * cellsY }, (i) => i)
  return Float32Array.from(squares, (square, i) =>
    fill[i] === WATER ? Math.max(0.5, Math.sqrt(square) - 0.5) : 0,
  )
}

/** One axis of an exact distance map (Felzenszwalb & Huttenlocher 2012), over all lines along it. */
function along(
  squares: Float64Array,
  { count, stride }: { readonly count: number; readonly stride: number },
  startOf: (line: number) => number,
): void {
  const lines = squares.length / count
  const own = new Float64Array(count)
  const places = new Int32Array(count)
  const edges = new Float64Array(count + 1)
  for (let line = 0; line < lines; line++) {
    const start = startOf(line)
    for (let i = 0; i < count; i++) own[i] = squares[start + i * stride]!
    lowerEnvelope(own, places, edges)
    let k = 0
    for (let i = 0; i < count; i++) {
      while (edges[k + 1]! < i) k++
      squares[start + i * stride] = (i - places[k]!) ** 2 + own[places[k]!]!
    }
  }
}

function lowerEnvelope(own: Float64Array, places: Int32Array, edges: Float64Array): void {
  let k = 0
  places[0] = 0
  edges[0] = -Infinity
  edges[1] = Infinity
  for (let q = 1; q < own.length; q++) {
    let at = crossing(own, q, places[k]!)
    while (at <= edges[k]!) at = crossing(own, q, places[--k]!)
    k++
    places[k] = q
    edges[k] = at
    edges[k + 1] = Infinity
  }
}

const crossing = (own: Float64Array, q: number, p: number) =>
  (own[q]! + q * q - (own[p]! + p * p)) / (2 * q - 2 * p)
