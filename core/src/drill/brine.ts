/** All water of a system, well mixed: salt and water carried as masses, volumes add. */
export interface Brine {
  readonly saltKg: number
  readonly massKg: number
  readonly volumeM3: number
}

/** Salt and mass of so much water. */
export function brineOf(volumeM3: number, salinityPpt: number, densityKgPerM3: number): Brine {
  const massKg = volumeM3 * densityKgPerM3
  return { saltKg: (massKg * salinityPpt) / 1000, massKg, volumeM3 }
}

/** Salinity of a brine, g of salt in a kg of water. */
export function salinityPpt({ saltKg, massKg }: Brine): number {
  return massKg > 0 ? (1000 * saltKg) / massKg : 0
}

/** Fresh water comes in, and all of it stays. */
export function freshened(brine: Brine, freshM3: number, freshKgPerM3: number): Brine {
  return {
    saltKg: brine.saltKg,
    massKg: brine.massKg + freshM3 * freshKgPerM3,
    volumeM3: brine.volumeM3 + freshM3,
  }
}

/** Water leaves as it is mixed. */
export function lost(brine: Brine, lostM3: number): Brine {
  const left = Math.max(0, 1 - lostM3 / brine.volumeM3)
  return {
    saltKg: brine.saltKg * left,
    massKg: brine.massKg * left,
    volumeM3: brine.volumeM3 * left,
  }
}

/** Fresh water comes in while as much leaves, mixed all the time: dS/dv = −S/V. */
export function pouredThrough(brine: Brine, freshM3: number, freshKgPerM3: number): Brine {
  const left = Math.exp(-freshM3 / brine.volumeM3)
  const freshKg = brine.volumeM3 * freshKgPerM3
  return {
    saltKg: brine.saltKg * left,
    massKg: freshKg + (brine.massKg - freshKg) * left,
    volumeM3: brine.volumeM3,
  }
}

/** What a stretch of time did to it: so much fresh in, so much out. */
export function mixed(
  brine: Brine,
  { freshM3, lostM3, freshKgPerM3 }: { freshM3: number; lostM3: number; freshKgPerM3: number },
): Brine {
  // What went into the air left its salt behind.
  if (freshM3 < 0) return lost(freshened(brine, freshM3, freshKgPerM3), lostM3)
  const through = Math.min(freshM3, lostM3)
  const after = through > 0 ? pouredThrough(brine, through, freshKgPerM3) : brine
  if (freshM3 > through) return freshened(after, freshM3 - through, freshKgPerM3)
  return lostM3 > through ? lost(after, lostM3 - through) : after
}
