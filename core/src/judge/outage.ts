import { aboveRimBandM3 } from '../figures/index.ts'
import type { SumpBox } from '../design/index.ts'
import type { SteadyState } from '../loop/index.ts'
import { flatMap } from '../numeric/index.ts'
import type { DrillSaid } from './drilled.ts'
import { fillLineOf, highestRest, type Rest, restOf } from '../rest/index.ts'
import { type AtRest, atRestOf } from './at-rest.ts'

/** What comes down when the pumps stop, by source, m³. */
export interface DrainBack {
  readonly aboveRimM3: number
  readonly siphonedM3: number
  readonly boxesM3: number
  readonly returnPipesM3: number
  readonly drainPipesM3: number
  readonly equipmentM3: number
  readonly totalM3: number
}

/** Water of a power cut that never comes to the sump. */
export interface Elsewhere {
  /** The tank that it stands over the rim of; null: it runs out of an end that hangs over no tank. */
  readonly tankId: string | null
  readonly volumeM3: number
}

/** Where the water of a power cut comes to rest. */
export interface OutageRest {
  /** Highest of the sump's chambers that take it, over the room's floor; above the rim it is what the water would need. */
  readonly stillM: number
  /** From there up to the sump's rim. */
  readonly marginM: number
  /** Over the sump's rim, or elsewhere. */
  readonly spills: boolean
  /** What reaches the floor elsewhere than over the sump's rim; null: nothing does. */
  readonly elsewhere: Elsewhere | null
  /** Highest running level of the return chamber that leaves the keeper's margin, over the room's floor; null: none does. */
  readonly fillLineM: number | null
  /** What has no room over the margin with the return chamber empty, m³; nil where there is a line. */
  readonly missingM3: number
}

/** The pump stops: what comes down, and where it comes to rest. */
export interface SolvedOutage extends OutageRest {
  readonly drainBack: DrainBack
  /** How far the margin may be off, m: by what stands over the rims. */
  readonly marginBandM: number
  readonly freeVolumeM3: number
  /** The margin that counts, m: at rest, and of its drill once that is known; null: it spills. */
  readonly leftM: number | null
  /** The same with every check valve stuck open; null: none is counted on. */
  readonly withoutCheck: OutageRest | null
  /** What its drill came to, once that is known. */
  readonly drilled: DrillSaid | null
}

/** What a power cut brings down, and whether the sump holds it; null: the sump has no sizes. */
export function outageOf(
  steady: SteadyState,
  shareOf: (tankId: string) => number,
): SolvedOutage | null {
  const { box } = steady.design.sump
  if (!box) return null
  const atRest = atRestOf(steady, box, true)
  const rest = restOf(atRest.given)
  const { spaces } = atRest.given
  const { chambers, rimM } = atRest.sump
  const takingM2 = sum(chambers, (c) => spaces[c]!.areaM2)
  const counts = steady.layout.cuts.some((cuts) => cuts.some(({ hasCheck }) => hasCheck))
  const rested = restedIn(steady, box, atRest, rest)
  // Written out: a spread that adds a field takes many times as long, at every keystroke.
  return {
    stillM: rested.stillM,
    marginM: rested.marginM,
    spills: rested.spills,
    elsewhere: rested.elsewhere,
    fillLineM: rested.fillLineM,
    missingM3: rested.missingM3,
    drainBack: drainBackOf(steady, atRest, rest),
    marginBandM: aboveRimBandM3(steady, shareOf) / takingM2,
    freeVolumeM3: sum(chambers, (c) => spaces[c]!.areaM2 * (rimM - spaces[c]!.levelM)),
    leftM: rested.spills ? null : rested.marginM,
    withoutCheck: counts ? withChecksOpen(steady, box) : null,
    drilled: null,
  }
}

function withChecksOpen(steady: SteadyState, box: SumpBox): OutageRest {
  const atRest = atRestOf(steady, box, false)
  return restedIn(steady, box, atRest, restOf(atRest.given))
}

function restedIn(
  { design }: SteadyState,
  { heightM, floorHeightM }: SumpBox,
  { given, sump, floor }: AtRest,
  rest: Rest,
): OutageRest {
  const { levelsM } = rest
  const stillM = highestRest(rest, sump)
  const marginM = floorHeightM + heightM - stillM
  const elsewhere = elsewhereOf(design, { given, levelsM, floor })
  const line = fillLineOf(given, sump, rest)
  return {
    stillM,
    marginM,
    spills: marginM < 0 || elsewhere !== null,
    elsewhere,
    fillLineM: line.levelM,
    missingM3: line.missingM3,
  }
}

/** A splash smaller than this is rounding, m³. */
const SPLASH_M3 = 1e-6

/** Out of an end that hangs over no tank, or over the rim of a tank that others ran into. */
function elsewhereOf(
  { tanks }: SteadyState['design'],
  { given, levelsM, floor }: Pick<AtRest, 'given' | 'floor'> & Pick<Rest, 'levelsM'>,
): Elsewhere | null {
  const { spaces } = given
  const outsideM3 = levelsM[floor]! * spaces[floor]!.areaM2
  if (outsideM3 > SPLASH_M3) return { tankId: null, volumeM3: outsideM3 }
  const over = tanks.findIndex(
    ({ floorHeightM, rimM }, i) =>
      levelsM[i]! > floorHeightM + rimM && levelsM[i]! > spaces[i]!.levelM,
  )
  if (over < 0) return null
  const { id, floorHeightM, rimM } = tanks[over]!
  return { tankId: id, volumeM3: spaces[over]!.areaM2 * (levelsM[over]! - floorHeightM - rimM) }
}

function drainBackOf(
  { design }: SteadyState,
  { given, boxes }: AtRest,
  { levelsM, fromWaysM3, fromDrainsM3, fromGiftsM3 }: Rest,
): DrainBack {
  let aboveRimM3 = 0
  let siphonedM3 = 0
  design.tanks.forEach((tank, i) => {
    const { areaM2, levelM } = given.spaces[i]!
    const crestM = tank.overflow ? tank.floorHeightM + tank.overflow.crestM : levelM
    const brimM = Math.min(levelM, Math.max(crestM, levelsM[i]!))
    aboveRimM3 += areaM2 * (levelM - brimM)
    siphonedM3 += areaM2 * (brimM - levelsM[i]!)
  })
  const sides = flatMap(boxes, ({ inner, box }) => [inner, box].filter((space) => space >= 0))
  const boxesM3 = sum(
    sides,
    (s) => given.spaces[s]!.areaM2 * (given.spaces[s]!.levelM - levelsM[s]!),
  )
  return {
    aboveRimM3,
    siphonedM3,
    boxesM3,
    returnPipesM3: fromWaysM3,
    drainPipesM3: fromDrainsM3,
    equipmentM3: fromGiftsM3,
    totalM3: aboveRimM3 + siphonedM3 + boxesM3 + fromWaysM3 + fromDrainsM3 + fromGiftsM3,
  }
}

function sum(list: readonly number[], of: (item: number) => number): number {
  let total = 0
  for (const item of list) total += of(item)
  return total
}
