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

/** What a stretch of time did to it: so much fresh in (negative: into the air), so much out as it is mixed. */
export interface BrineChange {
  readonly freshM3: number
  readonly lostM3: number
  readonly freshKgPerM3: number
}

/**
 * Well mixed all the time, both at even rates: dS/dv = −S/V for what leaves, so with f in and l out
 * S falls by (V/V₀)^(−l/(f − l)), and so does what the mass is over that of fresh water.
 */
export function mixed(brine: Brine, { freshM3, lostM3, freshKgPerM3 }: BrineChange): Brine {
  const before = brine.volumeM3
  const volumeM3 = Math.max(0, before + freshM3 - lostM3)
  const grows = (freshM3 - lostM3) / before
  const perLost = grows === 0 ? 1 : Math.log1p(Math.max(-1, grows)) / grows
  const kept = lostM3 === 0 ? 1 : Math.exp(-(lostM3 / before) * perLost)
  const overFreshKg = brine.massKg - before * freshKgPerM3
  return {
    saltKg: brine.saltKg * kept,
    massKg: volumeM3 * freshKgPerM3 + overFreshKg * kept,
    volumeM3,
  }
}
