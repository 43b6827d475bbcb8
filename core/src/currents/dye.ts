import type { Vector } from '../jet/index.ts'
import { type Faces, makeDivergenceFree } from './divergence-free.ts'
import type { Field } from './field.ts'
import { cellHolding, type Grid, neighbourSteps, placeOf, waterCells } from './grid.ts'

/** One look at a dye: shares of what each cell would hold if it were even, 255 for `FRAME_FULL` and more. */
export interface DyeFrame {
  readonly timeS: number
  /** By cell of the grid. */
  readonly dye: Uint8Array
  /** Share of the water within a tenth of even. */
  readonly mixed: number
}

/** How a dye went through a tank. */
export interface DyeVerdict {
  /** When nine tenths of the water are within a tenth of even; null: not in the time there was. */
  readonly mixedS: number | null
  readonly ranS: number
  /** The places that a tenth of their share reached last, the last first. */
  readonly lastReached: readonly { readonly at: Vector; readonly timeS: number | null }[]
  /** Dye won or lost by rounding, over all there is. */
  readonly drift: number
}

/** What a full cell of a dye frame counts; eight bits hold the share (choice). */
export const FRAME_FULL = 3
/** Turbulent Schmidt number: eddies spread dye a little better than momentum. */
const SCHMIDT = 0.7
/** Share of a cell's water that may leave it in a step. */
const COURANT = 0.8
const MIXED_SHARE = 0.9
const NEAR_EVEN = 0.1
const REACHED = 0.1
const MOST_S = 900
const LAST_PLACES = 3

/** Looks at a dye: often at first, seldom later. */
function lookAfter(timeS: number): number {
  return timeS < 30 ? 0.5 : timeS < 120 ? 2 : 10
}

interface DyeFaces extends Faces {
  /** Cells behind and before, for how steep the dye rises; −1: none. */
  readonly behind: Int32Array
  readonly before: Int32Array
  /** What the eddies exchange, m³/s. */
  readonly exchange: Float64Array
}

/**
 * Pours a dye in one place and lets the mean motion and its eddies carry it: finite volumes, van
 * Leer's limiter, flows made free of divergence first. Long: for a worker.
 */
export function simulateDye(
  field: Field,
  from: Vector,
  look: (frame: DyeFrame) => void = () => {},
): DyeVerdict {
  const { grid } = field
  const cells = waterCells(grid)
  const placeIn = new Int32Array(grid.fill.length).fill(-1)
  cells.forEach((cell, i) => (placeIn[cell] = i))
  const faces = facesOf(field, cells, placeIn)
  const source = sourcesOf(field, placeIn, cells.length)
  makeDivergenceFree(faces, source)
  const dye = poured(grid, cells, placeIn, from)
  const stepS = stepOf(grid, faces, source, cells.length)
  const reachedS = new Float64Array(cells.length).fill(Infinity)
  const total = sumOf(dye)
  let timeS = 0
  let lookS = 0
  let mixedS: number | null = null
  for (;;) {
    note(reachedS, dye, timeS)
    if (timeS >= lookS) {
      const mixed = mixedShare(dye)
      look({ timeS, dye: frameOf(grid, cells, dye), mixed })
      if (mixed >= MIXED_SHARE) mixedS ??= timeS
      if (mixedS !== null && mixed > 0.99) break
      lookS += lookAfter(timeS)
    }
    if (timeS >= MOST_S || (mixedS !== null && timeS > 1.5 * mixedS)) break
    carry(dye, faces, { source, stepS, cellM3: grid.cellM ** 3 })
    timeS += stepS
  }
  return {
    mixedS,
    ranS: timeS,
    lastReached: lastReached(grid, cells, reachedS),
    drift: sumOf(dye) / total - 1,
  }
}

/** Faces in the three directions, each from the lower cell to the upper. */
function facesOf(field: Field, cells: readonly number[], placeIn: Int32Array): DyeFaces {
  const { grid, eddy } = field
  const steps = neighbourSteps(grid)
  const motions = [field.x, field.y, field.z]
  const rows: number[][] = []
  for (const cell of cells)
    for (let axis = 0; axis < 3; axis++) {
      const step = steps[axis * 2]!
      if (placeIn[cell + step]! < 0) continue
      const speed = (motions[axis]![cell]! + motions[axis]![cell + step]!) / 2
      const spread = (eddy[cell]! + eddy[cell + step]!) / 2 / SCHMIDT
      rows.push([
        placeIn[cell]!,
        placeIn[cell + step]!,
        speed * grid.cellM ** 2,
        placeIn[cell - step]!,
        placeIn[cell + 2 * step] ?? -1,
        spread * grid.cellM,
      ])
    }
  const column = (i: number) => rows.map((row) => row[i]!)
  return {
    from: Int32Array.from(column(0)),
    to: Int32Array.from(column(1)),
    flow: Float64Array.from(column(2)),
    behind: Int32Array.from(column(3)),
    before: Int32Array.from(column(4)),
    exchange: Float64Array.from(column(5)),
  }
}

/** What comes from the sump and leaves for it, by place in the list of cells, m³/s. */
function sourcesOf({ passing }: Field, placeIn: Int32Array, count: number): Float64Array {
  const source = new Float64Array(count)
  for (const { cells, flowM3PerS } of [
    ...passing.inlets,
    ...(passing.outlet ? [passing.outlet] : []),
  ])
    for (const { cell, share } of cells) source[placeIn[cell]!]! += share * flowM3PerS
  return source
}

/** All dye in the nearest cells, as much as makes 1 everywhere when it is even. */
function poured(
  grid: Grid,
  cells: readonly number[],
  placeIn: Int32Array,
  from: Vector,
): Float64Array {
  const reach = Math.max(0.03, 1.2 * grid.cellM)
  const near = cells.flatMap((cell, i) => {
    const { x, y, z } = placeOf(grid, cell)
    return Math.hypot(x - from.x, y - from.y, z - from.z) <= reach ? [i] : []
  })
  const own = placeIn[cellHolding(grid, from)]!
  const spot = near.length > 0 ? near : [own >= 0 ? own : nearest(grid, cells, from)]
  const dye = new Float64Array(cells.length)
  for (const i of spot) dye[i] = cells.length / spot.length
  return dye
}

function nearest(grid: Grid, cells: readonly number[], from: Vector): number {
  let best = 0
  let least = Infinity
  cells.forEach((cell, i) => {
    const { x, y, z } = placeOf(grid, cell)
    const far = Math.hypot(x - from.x, y - from.y, z - from.z)
    if (far < least) {
      least = far
      best = i
    }
  })
  return best
}

function stepOf(grid: Grid, faces: DyeFaces, source: Float64Array, count: number): number {
  const leaving = new Float64Array(count)
  const { from, to, flow, exchange } = faces
  for (let f = 0; f < flow.length; f++) {
    leaving[flow[f]! > 0 ? from[f]! : to[f]!]! += Math.abs(flow[f]!)
    leaving[from[f]!]! += exchange[f]!
    leaving[to[f]!]! += exchange[f]!
  }
  let most = 1e-9
  for (let i = 0; i < count; i++) most = Math.max(most, leaving[i]! + Math.max(0, -source[i]!))
  return (COURANT * grid.cellM ** 3) / most
}

/** One step: what flows takes the dye of where it comes from, sharpened where it rises smoothly. */
function carry(
  dye: Float64Array,
  { from, to, flow, behind, before, exchange }: DyeFaces,
  {
    source,
    stepS,
    cellM3,
  }: { readonly source: Float64Array; readonly stepS: number; readonly cellM3: number },
): void {
  const change = new Float64Array(dye.length)
  for (let f = 0; f < flow.length; f++) {
    const a = from[f]!
    const b = to[f]!
    const q = flow[f]!
    const up = q > 0 ? dye[a]! : dye[b]!
    const down = q > 0 ? dye[b]! : dye[a]!
    const far = q > 0 ? behind[f]! : before[f]!
    let face = up
    const rise = down - up
    if (far >= 0 && rise !== 0) {
      const r = (up - dye[far]!) / rise
      if (r > 0) face += (r / (1 + r)) * (1 - ((q < 0 ? -q : q) * stepS) / cellM3) * rise
    }
    const passes = q * face + exchange[f]! * (dye[a]! - dye[b]!)
    change[a]! -= passes
    change[b]! += passes
  }
  returned(dye, change, source)
  const scale = stepS / cellM3
  for (let i = 0; i < dye.length; i++) dye[i]! += scale * change[i]!
}

/** What leaves for the sump comes back with the return water, mixed. */
function returned(dye: Float64Array, change: Float64Array, source: Float64Array): void {
  let left = 0
  let comes = 0
  for (let i = 0; i < dye.length; i++) {
    const q = source[i]!
    if (q < 0) {
      left -= q * dye[i]!
      change[i]! += q * dye[i]!
    } else comes += q
  }
  if (comes === 0) return
  for (let i = 0; i < dye.length; i++) if (source[i]! > 0) change[i]! += (source[i]! / comes) * left
}

function note(reachedS: Float64Array, dye: Float64Array, timeS: number): void {
  for (let i = 0; i < dye.length; i++)
    if (reachedS[i]! > timeS && dye[i]! >= REACHED) reachedS[i] = timeS
}

function mixedShare(dye: Float64Array): number {
  let near = 0
  for (const share of dye) if (Math.abs(share - 1) <= NEAR_EVEN) near++
  return near / dye.length
}

function frameOf(grid: Grid, cells: readonly number[], dye: Float64Array): Uint8Array {
  const frame = new Uint8Array(grid.fill.length)
  cells.forEach((cell, i) => {
    frame[cell] = Math.min(255, Math.round((dye[i]! / FRAME_FULL) * 255))
  })
  return frame
}

/** The latest of all, then the latest that lie well apart from those. */
function lastReached(
  grid: Grid,
  cells: readonly number[],
  reachedS: Float64Array,
): DyeVerdict['lastReached'] {
  const apartM = 0.2 * grid.cellM * Math.max(grid.waterX, grid.waterY)
  const order = Array.from(cells.keys()).sort((a, b) => reachedS[b]! - reachedS[a]! || a - b)
  const found: { at: Vector; timeS: number | null }[] = []
  for (const i of order) {
    const at = placeOf(grid, cells[i]!)
    const near = found.some(
      (spot) => Math.hypot(spot.at.x - at.x, spot.at.y - at.y, spot.at.z - at.z) < apartM,
    )
    if (near) continue
    found.push({ at, timeS: Number.isFinite(reachedS[i]!) ? reachedS[i]! : null })
    if (found.length === LAST_PLACES) break
  }
  return found
}

function sumOf(list: Float64Array): number {
  let sum = 0
  for (const other of list) sum += other
  return sum
}
