import type { Water } from '../fluid/water.ts'
import { kAt } from '../fitting/loss.ts'
import { boreAreaM2, reynolds, velocityHeadM } from '../pipe/flow.ts'
import { frictionFactor } from '../pipe/friction.ts'
import type { FittingLoss, FrictionLoss } from '../run/losses.ts'

/** All that a line has on one bore, added up so that one friction factor a wall serves it all. */
interface Stretch {
  readonly boreM: number
  readonly areaM2: number
  /** Straight pipe by wall: length × factor, and relative roughness. */
  readonly walls: readonly {
    readonly weightedLengthM: number
    readonly relativeRoughness: number
  }[]
  readonly fittingKm: number
  readonly fittingK: number
  readonly exitK: number
}

/** A line of pipe made ready to be asked for its loss many times. */
export type Line = readonly Stretch[]

/** Factors on the two groups of losses: for the honest band. */
export interface LossScale {
  readonly friction: number
  /** On all K but exits. */
  readonly fittings: number
}

export interface LineLoss {
  readonly frictionM: number
  /** Fittings with the exit. */
  readonly fittingsM: number
}

export const AS_COMPUTED: LossScale = { friction: 1, fittings: 1 }

export function makeLine(
  frictions: readonly FrictionLoss[],
  fittings: readonly FittingLoss[],
): Line {
  const bores = new Set([...frictions, ...fittings].map((loss) => loss.boreM))
  return [...bores].map((boreM) => {
    const here = fittings.filter((fitting) => fitting.boreM === boreM)
    const inner = here.filter((fitting) => !fitting.exit)
    const exits = here.filter((fitting) => fitting.exit)
    return {
      boreM,
      areaM2: boreAreaM2(boreM),
      walls: wallsOf(frictions.filter((friction) => friction.boreM === boreM)),
      fittingKm: sum(inner, (fitting) => fitting.loss.km),
      fittingK: sum(inner, (fitting) => fitting.loss.k),
      exitK: sum(exits, (fitting) => fitting.loss.k),
    }
  })
}

/** Darcy–Weisbach and ΣK V²/2g over the whole line, m; nil at no flow. Takes the flow's size, not its sign. */
export function lineLoss(line: Line, flowM3PerS: number, water: Water, scale: LossScale): LineLoss {
  let frictionM = 0
  let fittingsM = 0
  if (flowM3PerS === 0) return { frictionM, fittingsM }
  for (const stretch of line) {
    const speed = Math.abs(flowM3PerS) / stretch.areaM2
    const re = reynolds(speed, stretch.boreM, water.kinematicM2PerS)
    const head = velocityHeadM(speed)
    for (const wall of stretch.walls) {
      const f = frictionFactor(re, wall.relativeRoughness)
      frictionM += ((f * wall.weightedLengthM) / stretch.boreM) * head
    }
    const fittingK = kAt({ km: stretch.fittingKm, k: stretch.fittingK }, re)
    fittingsM += (scale.fittings * fittingK + stretch.exitK) * head
  }
  return { frictionM: scale.friction * frictionM, fittingsM }
}

function wallsOf(frictions: readonly FrictionLoss[]): Stretch['walls'] {
  const byRoughness = new Map<number, number>()
  for (const { lengthM, roughnessM, boreM, factor } of frictions) {
    const relative = roughnessM / boreM
    byRoughness.set(relative, (byRoughness.get(relative) ?? 0) + lengthM * factor)
  }
  return [...byRoughness].map(([relativeRoughness, weightedLengthM]) => ({
    relativeRoughness,
    weightedLengthM,
  }))
}

function sum<T>(items: readonly T[], of: (item: T) => number): number {
  return items.reduce((total, item) => total + of(item), 0)
}
