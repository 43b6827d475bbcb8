import type { LaidDrain } from './lay-drains.ts'

/** The drains of one box, and how they join. */
export interface BoxDrains {
  readonly drains: readonly LaidDrain[]
  /** Place of the drain that joins each; −1: none. */
  readonly member: readonly number[]
  /** Where each lets its water out: its own mouth, or that of what it joins. */
  readonly mouthM: readonly number[]
}

/** A box's drains in order. */
export function boxDrains(drains: readonly LaidDrain[]): BoxDrains {
  const trunkOf = (laid: LaidDrain) => drains.find(({ drain }) => drain.id === laid.trunkId) ?? laid
  return {
    drains,
    mouthM: drains.map((laid) => trunkOf(laid).mouth.zM),
    member: drains.map(({ memberId }) =>
      memberId === null ? -1 : drains.findIndex(({ drain }) => drain.id === memberId),
    ),
  }
}

/** Blocked drains by their ids. */
export type Blocked = ReadonlySet<string>

/** No drain is blocked. */
export const NONE_BLOCKED: Blocked = new Set()
