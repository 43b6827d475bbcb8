import type { DisplayTank, Overflow, Passage } from '../design/index.ts'
import { type Fall, fallHeadM, makeFall } from '../drain/index.ts'
import { entranceLoss, EXIT_LOSS, threeKLoss } from '../fitting/index.ts'
import type { Water } from '../fluid/index.ts'
import { makeLine } from '../network/index.ts'
import { memoize } from '../numeric/index.ts'
import { headOver, rimLaw, type RimLaw } from '../weir/index.ts'
import { type Blocked, boxDrains, type BoxDrains, NONE_BLOCKED } from './box-drains.ts'
import type { BoxSearch } from './box-search.ts'
import type { LaidDrain } from './lay-drains.ts'

/** A tank with an overflow, made ready to be asked for its level. */
export interface Overflowing {
  readonly tank: DisplayTank
  readonly overflow: Overflow
  readonly rim: RimLaw
  /** One hole or tube of its passage; null: none. */
  readonly passage: Fall | null
  readonly drains: readonly LaidDrain[]
  readonly box: BoxDrains
}

/** Heights above the room's floor, m. */
export interface TankLevels {
  readonly surfaceM: number
  /** On the near side of the passage; the box's own where there is none. */
  readonly innerM: number
  /** Of the box its drains stand in; null: no drain is given yet. */
  readonly boxM: number | null
  /** Over the rim's crest. */
  readonly headM: number
  /** Where the water goes that the overflow can't take: over the box's rim or the tank's; null: nowhere. */
  readonly spills: 'box' | 'tank' | null
}

/** A tank's overflow with all that its level is found by: box, drains, rim; null: it has none. */
export function overflowing(
  tank: DisplayTank,
  overflow: Overflow,
  drains: readonly LaidDrain[],
  water: Water,
): Overflowing {
  const own = drains.filter(({ drain }) => drain.tankId === tank.id)
  return {
    tank,
    overflow,
    rim: rimOf(overflow),
    passage: overflow.passage ? passageFall(overflow.passage, water) : null,
    drains: own,
    box: boxDrains(own),
  }
}

/** The skimming side before a passage, whose sizes nobody gives, is so deep from its rim to the tank's panel, m (choice). */
export const INNER_DEPTH_M = 0.06

/** The law of an overflow's rim. */
export const rimOf = memoize(({ rimLengthM, crestM, teeth, guard, openAbove }: Overflow): RimLaw =>
  rimLaw({ lengthM: rimLengthM, depthBelowM: crestM, teeth, guard, openAbove }),
)

/** One hole or tube of a passage, and how many there are; throws where there is none. */
export function passageOf({ passage, overflow }: Overflowing): { fall: Fall; count: number } {
  if (!passage || !overflow.passage) throw new RangeError('the overflow has no passage')
  return { fall: passage, count: overflow.passage.count }
}

/** New plastic. */
const SMOOTH_M = 1.5e-6

/** A hole is a flush inlet and an exit; a tube stands in the water at both ends and turns twice. */
function passageFall({ kind, boreM, lengthM }: Passage, water: Water): Fall {
  const exit = { boreM, loss: EXIT_LOSS, kind: 'exit' as const }
  if (kind === 'holes') {
    const inlet = { boreM, loss: entranceLoss('flush'), kind: 'fitting' as const }
    return makeFall(makeLine([], [inlet, exit]), [], false, water)
  }
  const inlet = { boreM, loss: entranceLoss('projecting'), kind: 'fitting' as const }
  const bend = {
    boreM,
    loss: threeKLoss('elbow-90-long', boreM / 0.0254),
    kind: 'fitting' as const,
  }
  const wall = { boreM, lengthM, roughnessM: SMOOTH_M, factor: 1, ribbed: false }
  return makeFall(makeLine([wall], [inlet, bend, bend, exit]), [], false, water)
}

/** The flow into a tank, and where the water stands that its drains end in. */
export interface LevelQuestion {
  readonly flowM3PerS: number
  readonly chamberLevelM: (chamberId: string) => number
}

/** Where a tank's water stands with a flow into it: box, passage and rim, one after the other. */
export function tankLevels(
  tankEdge: Overflowing,
  search: BoxSearch,
  question: LevelQuestion,
): TankLevels {
  const { overflow, drains } = tankEdge
  const { flowM3PerS, chamberLevelM } = question
  if (overflow.chamberId !== null) {
    return overRim(tankEdge, flowM3PerS, chamberLevelM(overflow.chamberId))
  }
  if (drains.length === 0) return { ...overRim(tankEdge, flowM3PerS, -Infinity), boxM: null }
  search.endAgainst(chamberLevelM)
  return levelsOver(tankEdge, search, flowM3PerS)
}

/** The same with some drains blocked, the ends of all set already. */
export function levelsOver(
  tankEdge: Overflowing,
  search: BoxSearch,
  flowM3PerS: number,
  blocked: Blocked = NONE_BLOCKED,
): TankLevels {
  const { tank, overflow } = tankEdge
  const foundM = search.levelM(flowM3PerS, blocked)
  const boxRimM = tank.floorHeightM + boxRim(tankEdge)
  if (foundM > boxRimM) {
    const levels = overRim(tankEdge, flowM3PerS, boxRimM)
    // An inner box can't spill on the floor: its water stands over its rim with the tank's.
    return { ...levels, spills: standsInside(overflow) ? 'tank' : 'box' }
  }
  return overRim(tankEdge, flowM3PerS, foundM)
}

/** Where a box's water ends up outside it: an inner box's rises with the tank's to the tank's rim. */
export function boxRim({ tank, overflow }: Overflowing): number {
  return standsInside(overflow) ? tank.rimM : (overflow.box?.rimM ?? tank.rimM)
}

/** Does this box stand in the tank's own water? */
export function standsInside({ form }: Overflow): boolean {
  return form === 'inner-box'
}

function overRim(tankEdge: Overflowing, flowM3PerS: number, boxM: number): TankLevels {
  const { tank, overflow, rim } = tankEdge
  const crestM = tank.floorHeightM + overflow.crestM
  const tankRimM = tank.floorHeightM + tank.rimM
  const innerM = Math.min(boxM + passageHeadM(tankEdge, flowM3PerS), tankRimM)
  const wantedM = headOver(rim, flowM3PerS, innerM - crestM)
  const spills = crestM + wantedM > tankRimM
  const headM = spills ? tankRimM - crestM : wantedM
  return { surfaceM: crestM + headM, innerM, boxM, headM, spills: spills ? 'tank' : null }
}

/** No passage is asked for more head than this, m: long before, the tank spills. */
const MOST_PASSAGE_HEAD_M = 8

/** Head that drives a flow through the passage. */
export function passageHeadM({ overflow, passage }: Overflowing, flowM3PerS: number): number {
  if (!passage || !overflow.passage || flowM3PerS <= 0) return 0
  return Math.min(fallHeadM(passage, flowM3PerS / overflow.passage.count), MOST_PASSAGE_HEAD_M)
}
