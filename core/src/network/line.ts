import { kAt } from '../fitting/index.ts'
import type { Water } from '../fluid/index.ts'
import { boreAreaM2, frictionFactor, reynolds, velocityHeadM } from '../pipe/index.ts'
import type { FittingLoss, FrictionLoss } from '../run/index.ts'

/** Straight pipe with one kind of wall on one bore. */
interface Wall {
  readonly relativeRoughness: number
  /** Length × factor, m. */
  weightedLengthM: number
}

/** All that a line has on one bore, added up so that one friction factor a wall serves it all. */
interface Stretch {
  readonly boreM: number
  readonly areaM2: number
  readonly walls: readonly Readonly<Wall>[]
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

/** Head lost in a line, m. */
export interface LineLoss {
  readonly frictionM: number
  /** Fittings with the exit. */
  readonly fittingsM: number
}

/** Losses as they are computed, nothing scaled. */
export const AS_COMPUTED: LossScale = { friction: 1, fittings: 1 }

/** A line of pipe: its losses added up by bore, ready to be asked at any flow. */
export function makeLine(
  frictions: readonly FrictionLoss[],
  fittings: readonly FittingLoss[],
): Line {
  const stretches: Summing[] = []
  for (const friction of frictions) addWall(stretchOn(stretches, friction.boreM), friction)
  for (const { boreM, loss, exit } of fittings) {
    const stretch = stretchOn(stretches, boreM)
    if (exit) stretch.exitK += loss.k
    else {
      stretch.fittingKm += loss.km
      stretch.fittingK += loss.k
    }
  }
  return stretches
}

/** A stretch while it is being added up. */
interface Summing extends Stretch {
  readonly walls: Wall[]
  fittingKm: number
  fittingK: number
  exitK: number
}

/** A line has a handful of bores: a list is searched faster than a map. */
function stretchOn(stretches: Summing[], boreM: number): Summing {
  for (const stretch of stretches) if (stretch.boreM === boreM) return stretch
  const areaM2 = boreAreaM2(boreM)
  const made: Summing = { boreM, areaM2, walls: [], fittingKm: 0, fittingK: 0, exitK: 0 }
  stretches.push(made)
  return made
}

function addWall({ walls }: Summing, { roughnessM, boreM, lengthM, factor }: FrictionLoss): void {
  const relativeRoughness = roughnessM / boreM
  const weightedLengthM = lengthM * factor
  for (const wall of walls) {
    if (wall.relativeRoughness !== relativeRoughness) continue
    wall.weightedLengthM += weightedLengthM
    return
  }
  walls.push({ relativeRoughness, weightedLengthM })
}

/** Darcy–Weisbach and ΣK V²/2g over the whole line, m; zero at no flow. Takes the flow's size, not its sign. */
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
