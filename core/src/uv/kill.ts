/** A target is quoted for three tenfold cuts. */
const TENFOLDS = 3

/** Share killed in one pass: 1 − 10^(−dose/D₁₀), D₁₀ = target/3. */
export function killPerPass(doseJPerM2: number, targetJPerM2: number): number {
  return -Math.expm1((-Math.LN10 * TENFOLDS * doseJPerM2) / targetJPerM2)
}

/** d(kill)/d(dose), m²/J. */
export function killSlope(doseJPerM2: number, targetJPerM2: number): number {
  const per = (Math.LN10 * TENFOLDS) / targetJPerM2
  return per * Math.exp(-per * doseJPerM2)
}

/** k = (Q/V) · kill, 1/s, of a well mixed volume; zero without flow. */
export function removalPerS(flowM3PerS: number, volumeM3: number, kill: number): number {
  return flowM3PerS > 0 && volumeM3 > 0 ? (flowM3PerS / volumeM3) * kill : 0
}

/** ln 2/k; ∞ where nothing is removed. */
export function halfLifeS(removal: number): number {
  return removal > 0 ? Math.LN2 / removal : Infinity
}
