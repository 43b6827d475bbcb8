import { boreAreaM2 } from '../pipe/index.ts'

/** A display when the pump stops; levels above one common zero, m. */
export interface StoppingDisplay {
  readonly surfaceM2: number
  readonly runningLevelM: number
  /** Where its overflow lets no more go. */
  readonly crestM: number
  /** Where an outlet under water breaks its siphon: its break hole, else its mouth; null: in air, or held by a working check valve. */
  readonly siphonBreakM: number | null
}

/** An overflow box that empties down to its lowest drain's inlet. */
export interface StoppingBox {
  readonly surfaceM2: number
  readonly runningLevelM: number
  readonly drainInletM: number
}

/** What stands in a pipe and runs out of it. */
export interface StoppingPipe {
  readonly boreM: number
  readonly lengthM: number
  /** Share of its section that is water: 1 when full. */
  readonly filledShare: number
}

/** A chamber of the sump; levels over its floor, m. */
export interface StoppingChamber {
  readonly areaM2: number
  readonly runningLevelM: number
  /** Crest of the wall that holds its water; zero: none does. */
  readonly heldByM: number
}

/** All that comes down when the pump stops. */
export interface Stopping {
  readonly displays: readonly StoppingDisplay[]
  readonly boxes: readonly StoppingBox[]
  readonly returnPipes: readonly StoppingPipe[]
  readonly drainPipes: readonly StoppingPipe[]
  /** What hung equipment lets go. */
  readonly equipmentM3: number
}

/** Drain-back by source, m³. */
export interface DrainBack {
  readonly aboveRimM3: number
  readonly siphonedM3: number
  readonly boxesM3: number
  readonly returnPipesM3: number
  readonly drainPipesM3: number
  readonly equipmentM3: number
  readonly totalM3: number
}

function sum<T>(list: readonly T[], of: (item: T) => number): number {
  return list.reduce((total, item) => total + of(item), 0)
}

/** What comes down when the pumps stop, where it comes to rest, and whether that stays in the sump. */
export function drainBack(stopping: Stopping): DrainBack {
  const pipes = (list: readonly StoppingPipe[]) =>
    sum(list, ({ boreM, lengthM, filledShare }) => boreAreaM2(boreM) * lengthM * filledShare)
  const still = ({ runningLevelM, crestM }: StoppingDisplay) => Math.min(runningLevelM, crestM)
  const aboveRimM3 = sum(
    stopping.displays,
    (display) => display.surfaceM2 * (display.runningLevelM - still(display)),
  )
  const siphonedM3 = sum(stopping.displays, (display) =>
    display.siphonBreakM === null
      ? 0
      : display.surfaceM2 * Math.max(0, still(display) - display.siphonBreakM),
  )
  const boxesM3 = sum(
    stopping.boxes,
    (box) => box.surfaceM2 * Math.max(0, box.runningLevelM - box.drainInletM),
  )
  const returnPipesM3 = pipes(stopping.returnPipes)
  const drainPipesM3 = pipes(stopping.drainPipes)
  const { equipmentM3 } = stopping
  return {
    aboveRimM3,
    siphonedM3,
    boxesM3,
    returnPipesM3,
    drainPipesM3,
    equipmentM3,
    totalM3: aboveRimM3 + siphonedM3 + boxesM3 + returnPipesM3 + drainPipesM3 + equipmentM3,
  }
}

/** Room in the sump from its running levels up to its rim, m³. */
export function freeVolumeM3(chambers: readonly StoppingChamber[], rimM: number): number {
  return sum(chambers, ({ areaM2, runningLevelM }) => areaM2 * (rimM - runningLevelM))
}

/** Level at which the sump comes to rest: Σ Aᵢ max(cᵢ, z) = running volume + drain-back. Above the rim it is what the water would need. */
export function stillLevelM(chambers: readonly StoppingChamber[], drainBackM3: number): number {
  const volumeM3 = sum(chambers, (chamber) => chamber.areaM2 * chamber.runningLevelM) + drainBackM3
  return levelHolding(
    chambers.map(({ areaM2, heldByM }) => ({ areaM2, leastM: heldByM })),
    volumeM3,
  )
}

/**
 * Highest running level in the last chamber that comes to rest at a level; a chamber it overtops
 * stands as high as it. Below the floor: nothing fits.
 */
export function fillLineM(
  chambers: readonly StoppingChamber[],
  drainBackM3: number,
  restM: number,
): number {
  const restVolumeM3 = sum(chambers, (chamber) => chamber.areaM2 * Math.max(chamber.heldByM, restM))
  const others = chambers.slice(0, -1)
  return levelHolding(
    [
      ...others.map(({ areaM2, runningLevelM }) => ({ areaM2, leastM: runningLevelM })),
      { areaM2: chambers.at(-1)!.areaM2, leastM: -Infinity },
    ],
    restVolumeM3 - drainBackM3,
  )
}

/** The z at which Σ Aᵢ max(leastᵢ, z) is a volume: straight between the leasts, so exact. */
function levelHolding(
  parts: readonly { readonly areaM2: number; readonly leastM: number }[],
  volumeM3: number,
): number {
  const rising = [...parts].sort((a, b) => a.leastM - b.leastM)
  let heldM3 = sum(rising, ({ areaM2, leastM }) => (leastM === -Infinity ? 0 : areaM2 * leastM))
  let areaM2 = 0
  for (const [i, part] of rising.entries()) {
    areaM2 += part.areaM2
    heldM3 -= part.leastM === -Infinity ? 0 : part.areaM2 * part.leastM
    const levelM = (volumeM3 - heldM3) / areaM2
    if (levelM <= (rising[i + 1]?.leastM ?? Infinity)) return levelM
  }
  return NaN
}
