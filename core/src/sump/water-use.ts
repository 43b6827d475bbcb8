const DAY_S = 86_400
const MM_PER_DAY = 0.001 / DAY_S

/** How fast open water goes into the air, m³/s: mm a day over the open surfaces. */
export function evaporationM3PerS(evaporationMmPerDay: number, openSurfaceM2: number): number {
  return evaporationMmPerDay * MM_PER_DAY * openSurfaceM2
}

/** Time until the return chamber falls from a level to another, all of it out of that chamber. */
export function timeToFallS(
  { areaM2, fromM, toM }: { areaM2: number; fromM: number; toM: number },
  lossM3PerS: number,
): number {
  return lossM3PerS > 0 ? Math.max(0, areaM2 * (fromM - toM)) / lossM3PerS : Infinity
}

/** Time a top-off reservoir lasts. */
export function reservoirLastsS(reservoirM3: number, lossM3PerS: number): number {
  return lossM3PerS > 0 ? reservoirM3 / lossM3PerS : Infinity
}

/** Salinity when the whole reservoir runs in at once; salt and water carried as masses, ppt. */
export function salinityAfterTopOff(
  { salinityPpt, volumeM3 }: { salinityPpt: number; volumeM3: number },
  saltKgPerM3: number,
  freshKg: number,
): number {
  const massKg = volumeM3 * saltKgPerM3
  return (massKg * salinityPpt) / (massKg + freshKg)
}
