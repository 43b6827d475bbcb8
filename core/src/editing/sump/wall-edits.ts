import type { Sump, SumpWall } from '../../design/index.ts'
import type { WallKind } from '../../sump/index.ts'

/** Least room a wall keeps to its neighbours, m (choice). */
export const BETWEEN_WALLS_M = 0.01
/** What a wall begins with when it becomes of another kind (choices), m. */
const NEW_COMB = { slotWidthM: 0.006, pitchM: 0.012, heightM: 0.03, blockedShare: 0 }
const NEW_SLOT_M = 0.03

/** How far a wall may be moved between its neighbours, from the sump's left inside face. */
export function wallRange(
  { walls, box }: Sump,
  index: number,
): { readonly leastM: number; readonly mostM: number } {
  const wall = walls[index]!
  const before = walls[index - 1]
  const after = walls[index + 1]
  return {
    leastM: (before ? before.atM + before.thicknessM : 0) + BETWEEN_WALLS_M,
    mostM: (after ? after.atM : (box?.lengthM ?? 0)) - wall.thicknessM - BETWEEN_WALLS_M,
  }
}

/** A wall of another kind: it brings what that kind cannot be without. */
export function wallOfKind(wall: SumpWall, kind: WallKind): SumpWall {
  const heightM = Math.min(NEW_COMB.heightM, wall.topM / 2)
  return {
    ...wall,
    kind,
    slotM: kind === 'under' ? Math.min(wall.slotM || NEW_SLOT_M, wall.topM / 2) : 0,
    teeth: kind === 'comb' ? (wall.teeth ?? { ...NEW_COMB, heightM }) : null,
  }
}
