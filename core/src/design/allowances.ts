/** What bad days are made of beside the design itself; null: the usual figure, said to be one. */
export interface Allowances {
  /** How far a tank is out of level over its length, m. */
  readonly outOfLevelM: number | null
  /** How high the circulation pumps' waves run over the still level, m. */
  readonly wavesM: number | null
  /** A slow leak, m³/s. */
  readonly leakM3PerS: number | null
  /** What a skimmer's cup runs over into, m³: zero the floor; null: the sump, so nothing is lost. */
  readonly cupCollectorM3: number | null
  /** The top-off's reservoir stands over its tube's end, and that is under water. */
  readonly topOffTubeSiphons: boolean
}

/** Where the keeper gave none (hydraulics reference, §9). */
export const USUAL_ALLOWANCES = {
  outOfLevelM: 0.003,
  wavesM: 0.01,
  leakM3PerS: 0.5e-3 / 3600,
} as const

/** Nothing given: every figure is the usual one. */
export const NO_ALLOWANCES: Allowances = {
  outOfLevelM: null,
  wavesM: null,
  leakM3PerS: null,
  cupCollectorM3: null,
  topOffTubeSiphons: false,
}

/** So much nearer to a tank's rim does water come than its still level says, m. */
export function swayM({ outOfLevelM, wavesM }: Allowances): number {
  return (outOfLevelM ?? USUAL_ALLOWANCES.outOfLevelM) + (wavesM ?? USUAL_ALLOWANCES.wavesM)
}
