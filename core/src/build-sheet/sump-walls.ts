import type { Sump, SumpWall } from '../design/index.ts'
import { panelWidthM } from '../sump/index.ts'

/** One panel to cut for a wall, and where it goes; m. */
export interface CutPanel {
  readonly wallId: string
  /** Its place among the walls, left to right, from 1. */
  readonly number: number
  readonly kind: SumpWall['kind']
  readonly widthM: number
  readonly heightM: number
  readonly thicknessM: number
  /** Its left face from the sump's left inside face. */
  readonly fromLeftM: number
  /** Its foot and its top over the sump's inside floor. */
  readonly footM: number
  readonly topM: number
  readonly teeth: SumpWall['teeth']
  readonly pipe: { readonly boreM: number; readonly heightM: number } | null
  /** When to seal it in, from 1. */
  readonly order: number
  /** Room beside it while it is sealed, on its wider side. */
  readonly gapM: number
}

/** The walls of a self-built sump as panels, left to right; none while it has no sizes. */
export function cutList({ box, walls, gapM }: Sump): CutPanel[] {
  if (!box) return []
  const order = sealingOrder(walls, box.lengthM)
  return walls.map((wall, i) => {
    const footM = wall.kind === 'under' ? wall.slotM : 0
    return {
      wallId: wall.id,
      number: i + 1,
      kind: wall.kind,
      widthM: panelWidthM(box.widthM, gapM),
      heightM: wall.topM - footM,
      thicknessM: wall.thicknessM,
      fromLeftM: wall.atM,
      footM,
      topM: wall.topM,
      teeth: wall.kind === 'comb' ? wall.teeth : null,
      pipe: wall.kind === 'pipe' ? { boreM: wall.pipeBoreM, heightM: wall.pipeHeightM } : null,
      ...order[i]!,
    }
  })
}

/**
 * The order that leaves room to work the sealant: thought backwards, the wall with the most room
 * beside it is always the next that could still be reached, so it goes in last.
 */
function sealingOrder(
  walls: readonly SumpWall[],
  lengthM: number,
): { order: number; gapM: number }[] {
  const left = walls.map((_, i) => i)
  const result: { order: number; gapM: number }[] = walls.map(() => ({ order: 0, gapM: 0 }))
  for (let order = walls.length; order > 0; order--) {
    const gaps = left.map((_, k) => gapBeside(walls, left, k, lengthM))
    const gapM = Math.max(...gaps)
    const at = gaps.indexOf(gapM)
    result[left[at]!] = { order, gapM }
    left.splice(at, 1)
  }
  return result
}

function gapBeside(
  walls: readonly SumpWall[],
  left: readonly number[],
  k: number,
  lengthM: number,
): number {
  const wall = walls[left[k]!]!
  const before = walls[left[k - 1] ?? -1]
  const after = walls[left[k + 1] ?? -1]
  const toLeft = wall.atM - (before ? before.atM + before.thicknessM : 0)
  const toRight = (after ? after.atM : lengthM) - wall.atM - wall.thicknessM
  return Math.max(toLeft, toRight)
}
