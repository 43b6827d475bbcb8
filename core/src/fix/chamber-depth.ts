import { type Edit, setTo } from '../design/index.ts'
import { LEAST_WALL_M, outWallOf, type Whole } from '../finding/index.ts'
import { toMillimetre } from '../quantity/index.ts'
import { crestM } from '../sump/index.ts'
import type { Trial } from './trial.ts'

/** The wall by which a chamber's water leaves, set for a depth. */
export interface WallForDepth {
  readonly topM: number
  readonly edits: readonly Edit[]
}

/** null: its water leaves over no wall that can be set so. `more` is changed with it. */
export function wallForDepth(
  { steady, design, sump }: Whole,
  index: number,
  wantedM: number,
  more: readonly Edit[] = [],
): WallForDepth | null {
  const { box, walls } = design.sump
  const at = outWallOf(index, steady.returnIndex)
  const wall = walls[at]
  const nowM = sump.chambers[index]?.depthM ?? null
  if (!box || nowM === null || !wall || (wall.kind !== 'over' && wall.kind !== 'comb')) return null
  const topM = toMillimetre(Math.min(box.heightM, wall.topM + wantedM - nowM))
  const teethM = wall.topM - crestM(wall)
  if (topM <= teethM + LEAST_WALL_M) return null
  return { topM, edits: [setTo(['sump', 'walls', at, 'topM'], topM), ...more] }
}

/** How deep a chamber's water stands once a change is made. */
export function depthIn({ steady }: Trial, index: number): number {
  return steady.chambers[index]!.levelM - steady.design.sump.box!.floorHeightM
}
