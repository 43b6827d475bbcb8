import { dot, type Jet, jetSpeedAt, momentumOf, type Vector } from '../jet/index.ts'
import { meanSquareLevel } from '../scene/index.ts'
import { cellAt, type Grid, middleOf, WATER } from './grid.ts'
import type { Stream } from './streams.ts'

/** ν_t = 0.0161 √M all along a free round jet (Schlichting, Boundary-Layer Theory, ch. 24). */
const ROUND_EDDY = 0.0161
/** Before that the stream's edge is a mixing layer: ν_t = U x / (4 σ²), σ = 12 (Görtler 1942). */
const EDGE_EDDY = 1 / (4 * 12 ** 2)
/**
 * Found by free jets on grids of 1.7 to 3 cells a bore: the grid's own blur of an opening stands for
 * the eddies of so many bores, and below such a share of a jet's eddies it begins to flap.
 */
const BLUR_BORES = 5
const YOUNG_LEAST = 0.25
/** How fast that edge widens to each side. */
const EDGE_SPREAD = 0.2
/** Viscosity of the eddies that each cell's streams make, m²/s. */
export function eddyViscosity(grid: Grid, streams: readonly Stream[]): Float32Array {
  const sources = streams.map(sourceOf)
  const all = Math.sqrt(sources.reduce((sum, source) => sum + source.eddy ** 2, 0))
  const still = sources.length === 0 ? 1e-5 : all / Math.sqrt(sources.length)
  const viscosity = new Float32Array(grid.fill.length).fill(still)
  for (let z = 1; z <= grid.waterZ; z++)
    for (let y = 1; y <= grid.waterY; y++)
      for (let x = 1; x <= grid.waterX; x++) {
        const cell = cellAt(grid, x, y, z)
        if (grid.fill[cell] !== WATER) continue
        viscosity[cell] = eddyAt(sources, middleOf(grid, x, y, z), still, grid.cellM)
      }
  return viscosity
}

interface EddySource {
  readonly jet: Jet
  readonly eddy: number
}

function sourceOf({ jet, pattern }: Stream): EddySource {
  const mean = pattern ? meanSquareLevel(pattern) : 1
  return { jet, eddy: ROUND_EDDY * Math.sqrt(momentumOf(jet) * mean) }
}

/** Each stream counts as its speed there; near an opening its eddies are still small. */
function eddyAt(
  sources: readonly EddySource[],
  place: Vector,
  still: number,
  cellM: number,
): number {
  let weight = 0.01
  let sum = still * weight
  for (const { jet, eddy } of sources) {
    const speed = jetSpeedAt(jet, place)
    const to = { x: place.x - jet.from.x, y: place.y - jet.from.y, z: place.z - jet.from.z }
    const xM = dot(to, jet.towards)
    const acrossM = Math.sqrt(Math.max(0, dot(to, to) - xM * xM))
    const openM = jet.slot ? jet.slot.lengthM / 2 : jet.boreM / 2
    const young = xM >= 0 && acrossM < openM + EDGE_SPREAD * xM + cellM
    const own = young ? youngEddy(jet, eddy, xM) : eddy
    const share = young ? Math.max(speed, 0.5 * jet.exitSpeedMPerS * Number(own < eddy)) : speed
    weight += share
    sum += own * share
  }
  return Math.max(1e-6, sum / weight)
}

/** A stream's eddies grow with its edge, up to what they stay at. */
function youngEddy(jet: Jet, grown: number, xM: number): number {
  const edge = EDGE_EDDY * jet.exitSpeedMPerS * (xM - BLUR_BORES * jet.boreM)
  return Math.min(grown, Math.max(YOUNG_LEAST * grown, edge))
}
