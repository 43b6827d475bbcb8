import { dot, type Jet, momentumOf, sectionOf, type Vector } from '../jet/index.ts'
import { meanSquareLevel } from '../scene/index.ts'
import { cellAt, type Grid, middleOf, WATER } from './grid.ts'
import type { Stream } from './streams.ts'
import { wallDistance } from './wall-distance.ts'
import { KARMAN } from './wall-law.ts'

/** ν_t = 0.0161 √M all along a free round jet (Schlichting, Boundary-Layer Theory, ch. 24). */
const ROUND_EDDY = 0.0161
/** Before that the stream's edge is a mixing layer: ν_t = U x / (4 σ²), σ = 12 (Görtler 1942). */
const EDGE_EDDY = 1 / (4 * 12 ** 2)
/**
 * Found by free jets on grids of 1.7 to 3.5 cells a bore: the grid's own blur of an opening stands for the
 * eddies of its way, up to so many squares of a cell over the bore and never more bores than six, and below
 * such a share of a jet's eddies it begins to flap.
 */
const BLUR_SQUARES = 40
const BLUR_BORES = 6
const YOUNG_LEAST = 0.15
/** How fast that edge widens to each side. */
const EDGE_SPREAD = 0.2
/** A plane jet's: 0.037 of its speed times its half-width, where it has half its speed (Schlichting, ch. 24). */
const PLANE_EDDY = 0.037
const HALF_SPEED = Math.sqrt(Math.LN2)

/** Nearer to a wall than κ y of such a share of its half-width a stream's eddies are smaller (found by the plane wall jet). */
const EDDY_SIZE = 0.035
const LEAST_WITHIN = 1e-3

/** The eddies that streams make, cell by cell. */
export interface StreamEddies {
  /** m²/s. */
  readonly viscosity: Float32Array
  /** How much of a cell's water is a stream's: 1 inside its half-width, fading beside it. */
  readonly within: Float32Array
}

/** The eddies of all streams: those of each count as far as it is there. */
export function eddiesOf(grid: Grid, streams: readonly Stream[]): StreamEddies {
  const sources = streams.map(sourceOf)
  const offCells = wallDistance(grid)
  const viscosity = new Float32Array(grid.fill.length)
  const within = new Float32Array(grid.fill.length)
  for (let z = 1; z <= grid.waterZ; z++)
    for (let y = 1; y <= grid.waterY; y++)
      for (let x = 1; x <= grid.waterX; x++) {
        const cell = cellAt(grid, x, y, z)
        if (grid.fill[cell] !== WATER) continue
        const place = middleOf(grid, x, y, z)
        let squares = 0
        let most = 0
        for (const source of sources) {
          const { eddy, fades } = eddyOf(source, place, {
            cellM: grid.cellM,
            offWallM: offCells[cell]! * grid.cellM,
          })
          squares += (fades * eddy) ** 2
          most = Math.max(most, fades)
        }
        within[cell] = most
        viscosity[cell] = most > LEAST_WITHIN ? Math.sqrt(squares) / most : 0
      }
  return { viscosity, within }
}

interface EddySource {
  readonly jet: Jet
  /** Of its speed, in the mean over its pattern. */
  readonly level: number
}

function sourceOf({ jet, pattern }: Stream): EddySource {
  return { jet, level: Math.sqrt(pattern ? meanSquareLevel(pattern) : 1) }
}

/** A stream's own eddies at a place, and how much it is there; beyond its half-width it fades over one more (choice). */
function eddyOf(
  { jet, level }: EddySource,
  place: Vector,
  { cellM, offWallM }: { readonly cellM: number; readonly offWallM: number },
): { readonly eddy: number; readonly fades: number } {
  const to = { x: place.x - jet.from.x, y: place.y - jet.from.y, z: place.z - jet.from.z }
  const xM = dot(to, jet.towards)
  if (xM < 0) return { eddy: 0, fades: 0 }
  const acrossM = offAxis(jet, to, xM)
  const openM = openingM(jet) / 2
  const halfM = Math.max(openM, cellM / 2, sectionOf(jet, xM).halfWidthM)
  const fades = Math.exp(-Math.max(0, acrossM - halfM) / halfM)
  const isYoung = acrossM < openM + EDGE_SPREAD * xM + cellM
  const grown = grownEddy(jet, xM)
  const nearWall = Math.min(1, (KARMAN * offWallM) / (EDDY_SIZE * halfM))
  return {
    eddy: level * nearWall * (isYoung ? youngEddy(jet, grown, { xM, cellM }) : grown),
    fades,
  }
}

/** Across the opening, the short way. */
const openingM = ({ slot, boreM }: Jet) => slot?.widthM ?? boreM

/** From the stream's middle line, or from a slot's middle sheet. */
function offAxis(jet: Jet, to: Vector, xM: number): number {
  const squareM2 = Math.max(0, dot(to, to) - xM * xM)
  if (!jet.slot) return Math.sqrt(squareM2)
  const alongM = dot(to, jet.slot.along)
  const pastEndM = Math.max(0, Math.abs(alongM) - jet.slot.lengthM / 2)
  return Math.sqrt(Math.max(0, squareM2 - alongM * alongM) + pastEndM * pastEndM)
}

/** A round stream's are alike all along, a sheet's grow as it spreads. */
function grownEddy(jet: Jet, xM: number): number {
  const round = ROUND_EDDY * Math.sqrt(momentumOf(jet))
  if (!jet.slot) return round
  const { centrelineMPerS, halfWidthM } = sectionOf(jet, xM)
  return Math.min(round, PLANE_EDDY * HALF_SPEED * halfWidthM * centrelineMPerS)
}

/** A stream's eddies grow with its edge, up to what they stay at. */
function youngEddy(
  jet: Jet,
  grown: number,
  { xM, cellM }: { readonly xM: number; readonly cellM: number },
): number {
  const edge = EDGE_EDDY * jet.exitSpeedMPerS * (xM - blurM(jet, cellM))
  return Math.min(grown, Math.max(YOUNG_LEAST * grown, edge))
}

/** The way that the grid's own blur of a round opening stands for. */
function blurM({ slot, boreM }: Jet, cellM: number): number {
  return slot ? 0 : Math.min(BLUR_BORES * boreM, (BLUR_SQUARES * cellM ** 2) / boreM)
}
