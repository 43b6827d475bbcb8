import type { Vector } from '../jet/index.ts'
import { DEAD_M_PER_S, LIFT_M_PER_S, type WantedRange, type ZoneKind } from '../scene/index.ts'
import { type Field, figureAt } from './field.ts'
import { neighbourSteps, PANEL, placeOf, SAND, waterCells } from './grid.ts'
import { type WallFace, wallFaces } from './wall-faces.ts'
import { rockPoints, type RockScene } from './rock-points.ts'
import type { FlowDomain } from './flow-domain.ts'

/** How a zone's faces fare: shares of its area. */
export interface ZoneVerdict {
  readonly zone: ZoneKind
  readonly areaM2: number
  readonly inside: number
  readonly tooSlow: number
  readonly tooFast: number
  readonly meanMPerS: number
}

/** Water that hangs together: how much, and its middle. */
export interface WaterSpot {
  readonly at: Vector
  /** Of water for dead spots, m³. */
  readonly volumeM3: number
  /** Of sand for spots that lift, m². */
  readonly areaM2: number
  readonly mostMPerS: number
}

/** Is the surface moved enough for the water to breathe? */
export type SurfaceSays = 'enough' | 'little' | 'still'

/** A floor without sand: how much of it stays so slow that waste settles there. */
export interface BareFloor {
  readonly areaM2: number
  readonly settlesShare: number
  /** The largest first. */
  readonly spots: readonly WaterSpot[]
}

/** How a field fares against what its zones want: shares by area or volume, zero to one. */
export interface FieldVerdict {
  readonly zones: readonly ZoneVerdict[]
  readonly waterM3: number
  readonly meanMPerS: number
  readonly deadShare: number
  /** The largest first. */
  readonly deadSpots: readonly WaterSpot[]
  readonly liftAreaM2: number
  readonly liftSpots: readonly WaterSpot[]
  readonly surfaceMPerS: number
  readonly surfaceSays: SurfaceSays
  /** null: no part of the floor is bare. */
  readonly bareFloor: BareFloor | null
}

/** Speeds that decide; the usual ones unless given. */
export interface Thresholds {
  readonly deadMPerS: number
  readonly liftMPerS: number
}

/** Speeds at which water counts as dead and lifts grains, m/s, unless others are given. */
export const THRESHOLDS: Thresholds = { deadMPerS: DEAD_M_PER_S, liftMPerS: LIFT_M_PER_S }

/** Mean speed from which a surface turns over well, and under which it hardly does, m/s (choices). */
const ENOUGH_AT_SURFACE_M_PER_S = 0.05
const STILL_AT_SURFACE_M_PER_S = 0.02
/** Waste settles on a bare floor where no moment is faster than this, m/s (choice). */
const SETTLES_M_PER_S = 0.05

/** Rock and sand are judged by the water so far off them: where polyps reach (choice). */
const POLYPS_M = 0.03

/** Spots smaller than so many cells are noise of the grid. */
const LEAST_CELLS = 3
const MOST_SPOTS = 6

/** What of a tank a field is judged by. */
type Judgeable = RockScene & Pick<FlowDomain, 'ranges'>

/** Shares of dead and fast water, of lifted sand, and of each zone's faces as wanted. */
export function judgeField(
  field: Field,
  domain: Judgeable,
  limits: Thresholds = THRESHOLDS,
): FieldVerdict {
  const { grid, speed, peak } = field
  const cells = waterCells(grid)
  const dead = cells.filter((cell) => speed[cell]! < limits.deadMPerS)
  const steps = neighbourSteps(grid)
  const down = steps[5]!
  const onSand = cells.filter((cell) => grid.fill[cell + down] === SAND)
  const lifting = onSand.filter((cell) => peak[cell]! > limits.liftMPerS)
  const top = cells.filter((cell) => placeOf(grid, cell).z > (grid.waterZ - 1) * grid.cellM)
  const cellM3 = grid.cellM ** 3
  const surfaceMPerS = meanOf(top, speed)
  return {
    zones: domain.ranges.flatMap((range) =>
      zoneOf(field, range, placesOf(field, domain, range.zone)),
    ),
    waterM3: cells.length * cellM3,
    meanMPerS: meanOf(cells, speed),
    deadShare: cells.length === 0 ? 0 : dead.length / cells.length,
    deadSpots: spotsOf(field, dead, steps, speed),
    liftAreaM2: lifting.length * grid.cellM ** 2,
    liftSpots: spotsOf(field, lifting, steps.slice(0, 4), peak),
    surfaceMPerS,
    surfaceSays: surfaceSays(surfaceMPerS),
    bareFloor: bareFloorOf(field, cells, steps),
  }
}

function surfaceSays(surfaceMPerS: number): SurfaceSays {
  if (surfaceMPerS >= ENOUGH_AT_SURFACE_M_PER_S) return 'enough'
  return surfaceMPerS >= STILL_AT_SURFACE_M_PER_S ? 'little' : 'still'
}

function bareFloorOf(
  field: Field,
  cells: readonly number[],
  steps: readonly number[],
): BareFloor | null {
  const { grid, peak } = field
  const down = steps[5]!
  const onFloor = cells.filter((cell) => grid.fill[cell + down] === PANEL)
  if (onFloor.length === 0) return null
  const slow = onFloor.filter((cell) => peak[cell]! < SETTLES_M_PER_S)
  return {
    areaM2: onFloor.length * grid.cellM ** 2,
    settlesShare: slow.length / onFloor.length,
    spots: spotsOf(field, slow, steps.slice(0, 4), peak),
  }
}

function meanOf(cells: readonly number[], of: Float32Array): number {
  return cells.length === 0 ? 0 : cells.reduce((sum, cell) => sum + of[cell]!, 0) / cells.length
}

/** A place that is judged by the water there, and the area it stands for. */
interface Judged {
  readonly at: Vector
  readonly areaM2: number
}

/** A zone's surface by the water where polyps reach. */
function zoneOf(
  field: Field,
  { zone, leastMPerS, mostMPerS }: WantedRange,
  places: readonly Judged[],
): ZoneVerdict[] {
  const sum = { all: 0, slow: 0, fast: 0, speed: 0 }
  for (const { at, areaM2 } of places) {
    const speed = figureAt(field, 'speed', at)
    sum.all += areaM2
    sum.speed += areaM2 * speed
    if (speed < leastMPerS) sum.slow += areaM2
    if (speed > mostMPerS) sum.fast += areaM2
  }
  if (sum.all === 0) return []
  return [
    {
      zone,
      areaM2: sum.all,
      inside: (sum.all - sum.slow - sum.fast) / sum.all,
      tooSlow: sum.slow / sum.all,
      tooFast: sum.fast / sum.all,
      meanMPerS: sum.speed / sum.all,
    },
  ]
}

/** Off the sand's faces, or off the zone's rocks as they stand, those that the field was run with: so far off on every grid. */
function placesOf(field: Field, scene: Judgeable, zone: WantedRange['zone']): Judged[] {
  const { grid, rockIds } = field
  if (zone === 'sand')
    return wallFaces(grid)
      .filter(({ behind }) => behind === SAND)
      .map((face) => ({ at: placeOff(grid, face), areaM2: grid.cellM ** 2 }))
  return scene.rocks
    .filter((rock) => rock.zone === zone && rockIds.includes(rock.id))
    .flatMap((rock) => rockPoints(rock, scene))
    .map(({ at, out, areaM2 }) => ({ at: along(at, out, POLYPS_M), areaM2 }))
}

const along = ({ x, y, z }: Vector, out: Vector, byM: number): Vector => ({
  x: x + byM * out.x,
  y: y + byM * out.y,
  z: z + byM * out.z,
})

/** A place straight off a face. */
function placeOff(grid: Field['grid'], { cell, axis, sign }: WallFace): Vector {
  const { x, y, z } = placeOf(grid, cell)
  const off = (i: number) => (i === axis ? sign * (POLYPS_M - grid.cellM / 2) : 0)
  return { x: x - off(0), y: y - off(1), z: z - off(2) }
}

/** Cells that touch, as one spot. */
function spotsOf(
  { grid }: Field,
  cells: readonly number[],
  steps: readonly number[],
  of: Float32Array,
): WaterSpot[] {
  const left = new Set(cells)
  const spots: WaterSpot[] = []
  for (const first of cells) {
    if (!left.delete(first)) continue
    const spot = [first]
    for (let i = 0; i < spot.length; i++)
      for (const step of steps) {
        const next = spot[i]! + step
        if (left.delete(next)) spot.push(next)
      }
    if (spot.length >= LEAST_CELLS) spots.push(spotOf(grid, spot, of))
  }
  return spots.sort((a, b) => b.volumeM3 - a.volumeM3).slice(0, MOST_SPOTS)
}

function spotOf(grid: Field['grid'], cells: readonly number[], of: Float32Array): WaterSpot {
  const sum = { x: 0, y: 0, z: 0 }
  let most = 0
  for (const cell of cells) {
    const place = placeOf(grid, cell)
    sum.x += place.x
    sum.y += place.y
    sum.z += place.z
    most = Math.max(most, of[cell]!)
  }
  const n = cells.length
  return {
    at: { x: sum.x / n, y: sum.y / n, z: sum.z / n },
    volumeM3: n * grid.cellM ** 3,
    areaM2: n * grid.cellM ** 2,
    mostMPerS: most,
  }
}

/** Share of all faces that have what they want; zero where nothing is judged. */
export function shareAsWanted({ zones }: Pick<FieldVerdict, 'zones'>): number {
  const areaM2 = zones.reduce((sum, zone) => sum + zone.areaM2, 0)
  if (areaM2 === 0) return 0
  return zones.reduce((sum, zone) => sum + zone.inside * zone.areaM2, 0) / areaM2
}

/** The same; where there is neither rock nor sand, the share of the water that is not dead. */
export function shareMoved(verdict: Pick<FieldVerdict, 'zones' | 'deadShare'>): number {
  return verdict.zones.length === 0 ? 1 - verdict.deadShare : shareAsWanted(verdict)
}

/** Circulation pumps' flow over the tank's water, an hour: the rule of thumb beside the field. */
export function tankTurnoverPerH(domain: FlowDomain, waterM3: number): number {
  const flow = domain.streams
    .filter(({ from }) => from === 'pump')
    .reduce((sum, { flowM3PerS }) => sum + flowM3PerS, 0)
  return (flow * 3600) / waterM3
}
