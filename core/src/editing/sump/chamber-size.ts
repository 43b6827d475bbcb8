import { chamberSpans, type Sump } from '../../design/index.ts'
import { toMillimetre } from '../../quantity/index.ts'
import { crestM } from '../../sump/index.ts'

/** No chamber is left shorter than this, m (choice). */
const LEAST_CHAMBER_M = 0.02

const lengthsOf = (sump: Sump): number[] =>
  chamberSpans(sump, sump.box!.lengthM).map(({ fromM, toM }) => toM - fromM)

/** Place of the longest other chamber: it gives what one is lengthened by, and takes what it is shortened by. */
function giverOf(sump: Sump, index: number): number {
  const lengths = lengthsOf(sump)
  lengths[index] = -Infinity
  return lengths.indexOf(Math.max(...lengths))
}

/** How long a chamber may become with the sump as it is, m; null: it is the only one. */
export function chamberLengthRange(
  sump: Sump,
  index: number,
): { readonly leastM: number; readonly mostM: number } | null {
  if (sump.chambers.length < 2) return null
  const lengths = lengthsOf(sump)
  return {
    leastM: LEAST_CHAMBER_M,
    mostM: lengths[index]! + lengths[giverOf(sump, index)]! - LEAST_CHAMBER_M,
  }
}

/** A chamber of another length, in one move: the walls between it and the longest other chamber go along, which gives or takes the rest. */
export function withChamberLength(sump: Sump, index: number, lengthM: number): Sump {
  const giver = giverOf(sump, index)
  const byM = toMillimetre(lengthM - lengthsOf(sump)[index]!)
  const [first, last, sign] = giver > index ? [index, giver, 1] : [giver, index, -1]
  return {
    ...sump,
    walls: sump.walls.map((wall, i) =>
      i >= first && i < last ? { ...wall, atM: wall.atM + sign * byM } : wall,
    ),
  }
}

/** A depth of water that is asked for in a chamber. */
export interface DepthWish {
  readonly index: number
  readonly returnIndex: number
  /** As it runs now, and as it is wanted, over the sump's floor, m. */
  readonly depthM: number
  readonly wantedM: number
}

/** No wall is set lower than this, m (choice). */
const LEAST_WALL_M = 0.02

/** Place of the wall by which a chamber's water leaves; −1: it is the return chamber. */
export function outWallOf(index: number, returnIndex: number): number {
  return index === returnIndex ? -1 : index < returnIndex ? index : index - 1
}

/** The wall by which a chamber's water leaves, set for a depth: its place and its new top. */
export interface HoldingWall {
  readonly at: number
  readonly topM: number
}

/** null: its water leaves over no wall that can be set so, as the pump's own. At most the sump's rim. */
export function wallHolding(
  { box, walls }: Sump,
  { index, returnIndex, depthM, wantedM }: DepthWish,
): HoldingWall | null {
  const at = outWallOf(index, returnIndex)
  const wall = walls[at]
  if (!box || !wall || (wall.kind !== 'over' && wall.kind !== 'comb')) return null
  const topM = toMillimetre(Math.min(box.heightM, wall.topM + wantedM - depthM))
  const teethM = wall.topM - crestM(wall)
  return topM <= teethM + LEAST_WALL_M ? null : { at, topM }
}
