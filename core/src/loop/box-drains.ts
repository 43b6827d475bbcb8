import { FILLED, ventedFlow } from '../drain/index.ts'
import type { LaidDrain } from './lay-drains.ts'

/** The drains of one box, and how they join. */
export interface BoxDrains {
  readonly drains: readonly LaidDrain[]
  /** Place of the drain that joins each; −1: none. */
  readonly member: readonly number[]
  /** Where each lets its water out: its own mouth, or that of what it joins. */
  readonly mouthM: readonly number[]
  /** The most that runs down the wall of each that is open all along; Infinity: it is not. */
  readonly filmM3PerS: readonly number[]
}

/** A box's drains in order. */
export function boxDrains(drains: readonly LaidDrain[]): BoxDrains {
  const trunkOf = (laid: LaidDrain) => drains.find(({ drain }) => drain.id === laid.trunkId) ?? laid
  return {
    drains,
    mouthM: drains.map((laid) => trunkOf(laid).mouth.zM),
    filmM3PerS: drains.map(({ drain: { role }, leastBoreM }) =>
      role === 'vented' || role === 'trickle' ? ventedFlow(leastBoreM, FILLED.most) : Infinity,
    ),
    member: drains.map(({ memberId }) =>
      memberId === null ? -1 : drains.findIndex(({ drain }) => drain.id === memberId),
    ),
  }
}

/** Blocked drains by their ids. */
export type Blocked = ReadonlySet<string>

/** No drain is blocked. */
export const NONE_BLOCKED: Blocked = new Set()
