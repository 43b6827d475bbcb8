/**
 * What an uncertain loss is, for how well it is known. fitting: a fitting, union, bulkhead,
 * entrance, strainer, reducer, adapter. part-closed-valve: a gate under 90 % of its stroke, a
 * quarter-turn past 9°. device: known by a table, a Kv or a K of its maker.
 */
export type LossKind = 'fitting' | 'part-closed-valve' | 'device'

/** The kinds by which errors go together, in the order that sums by kind are kept in. */
export const SPREAD_KINDS = [
  'fittings',
  'tees',
  'part-closed-valves',
  'devices',
  'friction',
] as const
/** A kind of piece whose errors go together. */
export type SpreadKind = (typeof SPREAD_KINDS)[number]

/** Two standard deviations of a loss, as a share of it (hydraulics reference, §3; choices). */
export const SPREAD: Readonly<Record<LossKind, number>> = {
  fitting: 0.2,
  // Published K of one setting differ by ×/÷ 1.7: ln 1.7.
  'part-closed-valve': 0.53,
  device: 0.1,
}
/** Of a pipe's or smooth hose's friction, and of a ribbed hose's. */
export const FRICTION_SPREAD = 0.05
/** Of a ribbed hose's friction: its factor is a guess between 1.5 and 3. */
export const RIBBED_SPREAD = 0.3
/** Of a tee's loss or gain, and what it is at least: a share of the common leg's V²/2g. */
export const TEE_SPREAD = 0.2
/** The least spread of a tee's leg, as a share of the common leg's V²/2g. */
export const TEE_LEAST_SPREAD = 0.02
