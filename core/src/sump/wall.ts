import { GRAVITY_M_PER_S2 } from '../fluid/water.ts'
import { brent } from '../numeric/brent.ts'
import { boreAreaM2 } from '../pipe/flow.ts'
import { drownedShare, smoothRimFlow } from '../weir/smooth.ts'
import { toothedRimFlow } from '../weir/toothed.ts'
import type { Teeth } from '../weir/rim.ts'

/** over: over its top. under: through a slot at its foot. comb: between teeth at its top. pipe: through a short pipe. solid: none passes. */
export type WallKind = 'over' | 'under' | 'comb' | 'pipe' | 'solid'

export const WALL_KINDS = ['over', 'under', 'comb', 'pipe', 'solid'] as const

/** A wall between two chambers; heights over the sump's inside floor, m. */
export interface WallShape {
  readonly kind: WallKind
  /** Inside width of the sump. */
  readonly widthM: number
  readonly topM: number
  /** Height of the slot under it; nil but for an under-wall. */
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

/** What passes a wall from a level to a lower one, m³/s. */
export function wallFlow(wall: WallShape, upM: number, downM: number): number {
  if (wall.kind === 'solid' || upM <= downM) return 0
  return slotFlow(wall, upM, downM) + overFlow(wall, upM, downM)
}

function slotFlow(wall: WallShape, upM: number, downM: number): number {
  const { kind, widthM, slotM, pipeBoreM, pipeHeightM } = wall
  if (kind === 'under') {
    const fallM = upM - downM
    return SLOT_CD * widthM * slotM * Math.sqrt(2 * GRAVITY_M_PER_S2 * fallM)
  }
  if (kind !== 'pipe') return 0
  const fallM = upM - Math.max(downM, pipeHeightM)
  if (fallM <= 0) return 0
  return boreAreaM2(pipeBoreM) * Math.sqrt((2 * GRAVITY_M_PER_S2 * fallM) / PIPE_K)
}

function overFlow(wall: WallShape, upM: number, downM: number): number {
  const crest = crestM(wall)
  const headM = upM - crest
  if (headM <= 0) return 0
  const free =
    wall.kind === 'comb' && wall.teeth
      ? toothedRimFlow(
          {
            ...wall.teeth,
            count: Math.floor(wall.widthM / wall.teeth.pitchM + 1e-9),
            depthBelowM: crest,
            rimAboveM: wall.widthM,
          },
          headM,
        )
      : smoothRimFlow({ lengthM: wall.widthM, depthBelowM: crest }, headM)
  return free * drownedShare(headM, downM - crest)
}

/** Head over a wall, free, for a flow: what a plain over-wall adds to its crest. */
export const NO_PASS = Infinity

/**
 * The level that sends a flow past a wall into a lower one. Without flow: where the water would
 * come to rest. Infinity where nothing passes.
 */
export function levelAbove(wall: WallShape, flowM3PerS: number, downM: number): number {
  if (flowM3PerS <= 0) return restLevel(wall, downM)
  if (wall.kind === 'solid') return NO_PASS
  const lowM = restLevel(wall, downM)
  const short = (upM: number) => wallFlow(wall, upM, downM) - flowM3PerS
  let spanM = 0.02
  while (short(lowM + spanM) < 0) {
    spanM *= 2
    if (spanM > 1e6) return NO_PASS
  }
  const found = brent(short, lowM, lowM + spanM, { tolerance: 1e-14 })
  return found.ok ? found.value : NO_PASS
}

/** Where water above a wall comes to rest once none flows. */
function restLevel(wall: WallShape, downM: number): number {
  if (wall.kind === 'under') return downM
  if (wall.kind === 'pipe') return Math.max(downM, Math.min(wall.pipeHeightM, wall.topM))
  return Math.max(downM, crestM(wall))
}
