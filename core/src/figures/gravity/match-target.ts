import { openPipeRiseM } from '../../drain/index.ts'
import type { LaidDrain, SteadyState } from '../../loop/index.ts'

/** Share of the flow a siphon leaves to the trickle beside it (choice). */
const TRICKLE_SHARE = 0.05
/** A siphon without a trickle holds the box this far below the emergency's lip (choice). */
const BELOW_EMERGENCY_M = 0.025
const QUARTER_TURN_DEG = 90
/** Turns of a small gate valve from shut to open (choice: they run from 8 to 12). */
const GATE_TURNS = 10

/** What a tank's siphons should carry together, and the box level to hold. */
export interface MatchTarget {
  readonly siphons: readonly LaidDrain[]
  readonly flowM3PerS: number
  readonly levelM: number
}

/** null: nothing comes, or no other pipe stands beside the siphons to hold a level by. */
export function matchTarget(
  { drains, drainFlows }: SteadyState,
  tankId: string,
): MatchTarget | null {
  const own = drains.filter(({ drain }) => drain.tankId === tankId)
  const all = own.reduce((sum, { index }) => sum + drainFlows[index]!, 0)
  const others = own.filter(({ drain }) => drain.role !== 'siphon')
  if (all <= 0 || others.length === 0) return null
  const trickle = others.find(({ drain }) => drain.role !== 'emergency')
  const kept = trickle ? all * TRICKLE_SHARE : 0
  return {
    siphons: own.filter(({ drain }) => drain.role === 'siphon'),
    flowM3PerS: all - kept,
    levelM: trickle
      ? trickle.lipM + openPipeRiseM({ boreM: trickle.boreM, below: null }, kept)
      : Math.min(...others.map((other) => other.lipM)) - BELOW_EMERGENCY_M,
  }
}

/** Share of the whole stroke that one degree of a ball valve or one turn of a gate is. */
export function touchOf(form: 'gate' | 'ball'): number {
  return form === 'ball' ? 1 / QUARTER_TURN_DEG : 1 / GATE_TURNS
}

/** A siphon's valve that can be set by its opening; undefined: it has none. */
export function throttleOf({ placed }: LaidDrain) {
  return placed.find(({ piece }) => piece.kind === 'valve' && piece.form !== 'diaphragm')
}
