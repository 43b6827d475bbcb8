import type { Edit } from '../design/index.ts'
import { crestM } from '../sump/index.ts'
import type { Solving } from './finding.ts'
import { steadyWith } from './try-out.ts'

/** Least of a wall that must stand under its teeth, m (choice). */
const LEAST_WALL_M = 0.02

/** The wall by which a chamber's water leaves, set for a depth, and what that really brings. */
export interface WallForDepth {
  readonly topM: number
  /** Over the sump's floor, solved with the wall so. */
  readonly depthM: number
  readonly edits: readonly Edit[]
}

/** A wall or a stand is cut to the millimetre. */
export const toMillimetres = (lengthM: number) => Math.round(lengthM * 1000) / 1000

/** null: its water leaves over no wall that can be set so. `more` is changed with it. */
export function wallForDepth(
  { steady, design, sump }: Solving,
  index: number,
  wantedM: number,
  more: readonly Edit[] = [],
): WallForDepth | null {
  const { box, walls } = design.sump
  const { returnIndex } = steady
  const at = index === returnIndex ? -1 : index < returnIndex ? index : index - 1
  const wall = walls[at]
  const nowM = sump.chambers[index]?.depthM ?? null
  if (!box || nowM === null || !wall || (wall.kind !== 'over' && wall.kind !== 'comb')) return null
  const topM = toMillimetres(Math.min(box.heightM, wall.topM + wantedM - nowM))
  const teethM = wall.topM - crestM(wall)
  if (topM <= teethM + LEAST_WALL_M) return null
  const edits: Edit[] = [{ op: 'set', path: ['sump', 'walls', at, 'topM'], to: topM }, ...more]
  const after = steadyWith(steady, edits).chambers[index]!
  return { topM, depthM: after.levelM - box.floorHeightM, edits }
}
