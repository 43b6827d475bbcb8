import { constantLoss, type Loss } from './loss.ts'

const DEGREES = Math.PI / 180
/** Included angle up to which the first form of each law holds. */
const NARROW_DEG = 45

/** A change of bore: sudden, or gradual at an included angle. */
export interface Transition {
  readonly fromBoreM: number
  readonly toBoreM: number
  /** Included angle of a gradual reducer; null: sudden. */
  readonly angleDeg: number | null
}

/** The bore a transition's K counts on: the smaller one. */
export function transitionBoreM({ fromBoreM, toBoreM }: Transition): number {
  return Math.min(fromBoreM, toBoreM)
}

/**
 * Loss of a change of bore, on the smaller bore. Sudden expansion (1 − β²)² (Borda–Carnot), sudden
 * contraction 0.5 (1 − β²), β = small/large; a gradual one scaled by its angle (Crane TP-410).
 */
export function transitionLoss(transition: Transition): Loss {
  const { fromBoreM, toBoreM, angleDeg } = transition
  const beta2 = (transitionBoreM(transition) / Math.max(fromBoreM, toBoreM)) ** 2
  const opens = toBoreM > fromBoreM
  const sudden = opens ? (1 - beta2) ** 2 : 0.5 * (1 - beta2)
  if (angleDeg === null) return constantLoss(sudden)
  return constantLoss(sudden * (opens ? expansionShare(angleDeg) : contractionShare(angleDeg)))
}

function expansionShare(angleDeg: number): number {
  return angleDeg <= NARROW_DEG ? 2.6 * Math.sin((angleDeg / 2) * DEGREES) : 1
}

function contractionShare(angleDeg: number): number {
  const half = Math.sin((angleDeg / 2) * DEGREES)
  return angleDeg <= NARROW_DEG ? 1.6 * half : Math.sqrt(half)
}
