/** A stream out of a round opening into still water. */
export interface RoundNozzle {
  readonly boreM: number
  readonly exitSpeedMPerS: number
}

/** A stream so far from its opening: its fastest, and how far across it falls to 1/e of that. */
export interface JetSection {
  readonly centrelineMPerS: number
  readonly halfWidthM: number
}

/** u = 6.2 U₀ D / x past 6.2 D, U₀ before (Fischer et al. 1979, Mixing in Inland and Coastal Waters, table 9.2). */
export const ROUND_DECAY = 6.2
/** 1/e half-width over the distance (the same). */
const ROUND_SPREAD = 0.107

/** Speed and width of a round jet at a distance from its nozzle. */
export function roundJetAt({ boreM, exitSpeedMPerS }: RoundNozzle, xM: number): JetSection {
  const coreM = ROUND_DECAY * boreM
  return {
    centrelineMPerS: xM <= coreM ? exitSpeedMPerS : (exitSpeedMPerS * coreM) / xM,
    halfWidthM: ROUND_SPREAD * xM,
  }
}

/** Gaussian across: u = u_c exp(−(r/b)²). */
export function acrossJet({ centrelineMPerS, halfWidthM }: JetSection, offsetM: number): number {
  if (offsetM === 0) return centrelineMPerS
  return centrelineMPerS * Math.exp(-((offsetM / halfWidthM) ** 2))
}
