import { type Edit, setTo } from '../design/index.ts'
import { wallHolding } from '../editing/index.ts'
import type { Whole } from '../finding/index.ts'
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
  const depthM = sump.chambers[index]?.depthM ?? null
  const { returnIndex } = steady
  const held = depthM && wallHolding(design.sump, { index, returnIndex, depthM, wantedM })
  if (!held) return null
  const { at, topM } = held
  return { topM, edits: [setTo(['sump', 'walls', at, 'topM'], topM), ...more] }
}

/** How deep a chamber's water stands once a change is made. */
export function depthIn({ steady }: Trial, index: number): number {
  return steady.chambers[index]!.levelM - steady.design.sump.box!.floorHeightM
}
