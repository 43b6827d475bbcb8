import { waterAt, type WaterReading } from '../fluid/index.ts'

/** Cement for one glued joint, m³: 1.5 × π × d × depth × 0.6 mm. */
export function cementM3(outsideM: number, depthM: number): number {
  return 1.5 * Math.PI * outsideM * depthM * 0.0006
}

/** Two legs of 6 mm of a fillet of sealant: half of its square, m². */
const FILLET_M2 = 0.006 ** 2 / 2

/** A seam of silicone. */
export interface Seam {
  readonly lengthM: number
  readonly panelM: number
  readonly gapM: number
  /** Sides of it that a hand can reach. */
  readonly sides: number
}

/** Silicone of a seam, m³: a fillet 6 × 6 mm/2 on each side that can be reached, and the gap. */
export function siliconeM3({ lengthM, panelM, gapM, sides }: Seam): number {
  return lengthM * (sides * FILLET_M2 + gapM * panelM)
}

/** Share of water bound in a salt mix, unless the keeper says otherwise. */
export const BOUND_IN_MIX = 0.1

/** Salt for so much water. */
export interface SaltForWater {
  readonly dissolvedKg: number
  /** With the water that is bound in the mix. */
  readonly toBuyKg: number
}

/** Dissolved mass = V ρ S/1000; to buy: that/(1 − share bound). */
export function saltFor(
  volumeM3: number,
  reading: WaterReading,
  boundShare = BOUND_IN_MIX,
): SaltForWater {
  const { densityKgPerM3 } = waterAt(reading)
  const dissolvedKg = (volumeM3 * densityKgPerM3 * reading.salinityPpt) / 1000
  return { dissolvedKg, toBuyKg: dissolvedKg / (1 - boundShare) }
}
