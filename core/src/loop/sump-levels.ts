import {
  chamberContents,
  chamberSpans,
  type Sump,
  type SumpBox,
  type SumpWall,
} from '../design/index.ts'
import { memoizeWith } from '../numeric/index.ts'
import { levelAbove } from '../sump/index.ts'

/** A chamber's water as it runs; heights above the room's floor, m. */
export interface ChamberLevel {
  readonly levelM: number
  /** What passes through it on its way to the return chamber. */
  readonly throughM3PerS: number
  /** More is drawn from it than comes in. */
  readonly starved: boolean
  /** More comes in than its wall lets on: it runs over the sump's rim. */
  readonly spills: boolean
  /** Parted from the return chamber by a wall that lets nothing through. */
  readonly apart: boolean
}

/** What comes into each chamber, and whether anything is laid to end there. */
export interface Inflows {
  /** What drains and lines bring, less what pumps draw, m³/s. */
  readonly netM3PerS: readonly number[]
  readonly fed: readonly boolean[]
}

/**
 * Levels of all chambers. The return chamber stands where the keeper fills it to; each wall on the
 * way outward from it passes all that comes in behind it.
 */
export function sumpLevels(
  sump: Sump,
  returnIndex: number,
  { netM3PerS, fed }: Inflows,
): ChamberLevel[] {
  const { chambers, box } = sump
  const given = chambers.map(({ levelM }, i): ChamberLevel => ({
    levelM,
    throughM3PerS: Math.max(0, netM3PerS[i]!),
    starved: false,
    spills: false,
    apart: false,
  }))
  if (!box) return given
  const levels = [...given]
  const total = netM3PerS.reduce((sum, netIn) => sum + Math.max(0, netIn), 0)
  const own = given[returnIndex]!
  const spills = own.levelM > box.floorHeightM + box.heightM
  levels[returnIndex] = { ...own, throughM3PerS: total, spills }
  for (const step of [-1, 1]) {
    for (let i = returnIndex + step; i >= 0 && i < chambers.length; i += step) {
      const wall = sump.walls[step < 0 ? i : i - 1]!
      levels[i] = chamberBehind(box, wall, levels[i - step]!, {
        given: given[i]!,
        through: beyond(netM3PerS, i, step),
        fed: fedBeyond(fed, i, step),
      })
    }
  }
  return levels
}

/** All that comes in at a chamber and behind it. */
function beyond(inflows: readonly number[], from: number, step: number): number {
  let sum = 0
  for (let i = from; i >= 0 && i < inflows.length; i += step) sum += inflows[i]!
  return sum
}

/** Does anything end at a chamber or behind it? */
function fedBeyond(fed: readonly boolean[], from: number, step: number): boolean {
  for (let i = from; i >= 0 && i < fed.length; i += step) if (fed[i]) return true
  return false
}

/** Less than this is rounding, m³/s. */
const NO_FLOW = 1e-10

function chamberBehind(
  box: SumpBox,
  wall: SumpWall,
  next: ChamberLevel,
  { given, through, fed }: { given: ChamberLevel; through: number; fed: boolean },
): ChamberLevel {
  const floorM = box.floorHeightM
  const flow = Math.abs(through) < NO_FLOW ? 0 : through
  if (wall.kind === 'solid' || next.apart) {
    // Water that is laid to come here fills it to the rim, and no level of its own stands against that.
    const levelM = fed ? floorM + box.heightM : given.levelM
    return { levelM, throughM3PerS: Math.max(0, flow), starved: flow < 0, spills: fed, apart: true }
  }
  if (flow < 0) return { ...given, levelM: floorM, throughM3PerS: 0, starved: true }
  const depthM = levelAbove(wall, box.widthM, flow, next.levelM - floorM)
  const spills = depthM > box.heightM
  return {
    levelM: floorM + Math.min(depthM, box.heightM),
    throughM3PerS: flow,
    starved: false,
    spills,
    apart: false,
  }
}

/** A chamber that what stands in it fills wholly keeps this much surface where its level is moved, m². */
export const LEAST_AREA_M2 = 1e-4

/** Area of a chamber's water, m²: its span less what stands in it. */
export function chamberAreasM2(sump: Sump, box: SumpBox): readonly number[] {
  return areasIn(sump, box)
}

/** No level moves them: a sump with its box is looked at once. */
const areasIn = memoizeWith(
  (sump: Sump, box: SumpBox): readonly number[] => {
    const contents = chamberContents(sump)
    return chamberSpans(sump, box.lengthM).map(({ fromM, toM }, i) =>
      Math.max(0, (toM - fromM) * box.widthM - contents[i]!.footprintM2),
    )
  },
  (before, now) => before === now,
)
