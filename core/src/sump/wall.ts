import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'
import { brent } from '../numeric/index.ts'
import { boreAreaM2 } from '../pipe/index.ts'
import { type Rim, rimFlow, rimHeadM, type Teeth } from '../weir/index.ts'

/** over: over its top. under: through a slot at its foot. comb: between teeth at its top. pipe: through a short pipe. solid: none passes. */
export type WallKind = 'over' | 'under' | 'comb' | 'pipe' | 'solid'

/** A wall between two chambers; heights over the sump's inside floor, m. */
export interface WallShape {
  readonly kind: WallKind
  readonly topM: number
  /** Height of the slot under it; zero but for an under-wall. */
  readonly slotM: number
  /** Its teeth stand below its top; null but for a comb. */
  readonly teeth: Teeth | null
  /** Bore of the pipe through it, and the height of its middle. */
  readonly pipeBoreM: number
  readonly pipeHeightM: number
}

/** Slot under a wall: Q = 0.62 b a √(2 g Δh). */
const SLOT_CD = 0.62
/** A pipe through a wall: flush inlet and exit. */
const PIPE_K = 1.5

/** Height at which water begins to pass over a wall: its top, or the sills between its teeth. */
export function crestM({ kind, topM, teeth }: WallShape): number {
  return kind === 'comb' && teeth ? topM - teeth.heightM : topM
}

/** What passes a wall of a sump so wide from a level to a lower one, m³/s. */
export function wallFlow(wall: WallShape, widthM: number, upM: number, downM: number): number {
  if (wall.kind === 'solid' || upM <= downM) return 0
  return slotFlow(wall, widthM, upM, downM) + overFlow(wall, widthM, upM, downM)
}

function slotFlow(wall: WallShape, widthM: number, upM: number, downM: number): number {
  const { kind, slotM, pipeBoreM, pipeHeightM } = wall
  if (kind === 'under') {
    const fallM = upM - downM
    return SLOT_CD * widthM * slotM * Math.sqrt(2 * GRAVITY_M_PER_S2 * fallM)
  }
  if (kind !== 'pipe') return 0
  const fallM = upM - Math.max(downM, pipeHeightM)
  if (fallM <= 0) return 0
  return boreAreaM2(pipeBoreM) * Math.sqrt((2 * GRAVITY_M_PER_S2 * fallM) / PIPE_K)
}

/** The top of a wall as a rim. */
function topRim({ kind, teeth }: WallShape, widthM: number, crest: number): Rim {
  return {
    lengthM: widthM,
    depthBelowM: crest,
    teeth: kind === 'comb' ? teeth : null,
    guard: null,
    openAbove: true,
  }
}

function overFlow(wall: WallShape, widthM: number, upM: number, downM: number): number {
  const crest = crestM(wall)
  return upM <= crest ? 0 : rimFlow(topRim(wall, widthM, crest), upM - crest, downM - crest)
}

/**
 * The level that sends a flow past a wall into a lower one. Without flow: where the water would
 * come to rest. Infinity where nothing passes.
 */
export function levelAbove(
  wall: WallShape,
  widthM: number,
  flowM3PerS: number,
  downM: number,
): number {
  if (flowM3PerS <= 0) return restLevel(wall, downM)
  if (wall.kind === 'solid') return Infinity
  const crest = crestM(wall)
  if (wall.kind === 'over' || wall.kind === 'comb') {
    return crest + rimHeadM(topRim(wall, widthM, crest), flowM3PerS, downM - crest)
  }
  const through = throughLevel(wall, widthM, flowM3PerS, downM)
  return through <= crest ? through : overAndThrough(wall, widthM, flowM3PerS, downM)
}

/** All of it through the slot or the pipe. */
function throughLevel(wall: WallShape, widthM: number, flowM3PerS: number, downM: number): number {
  const { kind, slotM, pipeBoreM, pipeHeightM } = wall
  const fallOf = (speed: number) => (speed * speed) / (2 * GRAVITY_M_PER_S2)
  if (kind === 'under') return downM + fallOf(flowM3PerS / (SLOT_CD * widthM * slotM))
  const speed = flowM3PerS / boreAreaM2(pipeBoreM)
  return Math.max(downM, pipeHeightM) + PIPE_K * fallOf(speed)
}

/** A wall that water also runs over: both ways together. */
function overAndThrough(
  wall: WallShape,
  widthM: number,
  flowM3PerS: number,
  downM: number,
): number {
  const lowM = Math.max(
    downM,
    Math.min(crestM(wall), throughLevel(wall, widthM, flowM3PerS, downM)),
  )
  const short = (upM: number) => wallFlow(wall, widthM, upM, downM) - flowM3PerS
  if (short(lowM) >= 0) return lowM
  let spanM = 0.02
  while (short(lowM + spanM) < 0) spanM *= 2
  const found = brent(short, lowM, lowM + spanM, { tolerance: 1e-12 })
  return found.ok ? found.value : lowM + spanM
}

/** Where water above a wall comes to rest once none flows. */
function restLevel(wall: WallShape, downM: number): number {
  if (wall.kind === 'under') return downM
  if (wall.kind === 'pipe') return Math.max(downM, Math.min(wall.pipeHeightM, wall.topM))
  return Math.max(downM, crestM(wall))
}
