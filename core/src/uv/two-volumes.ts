/** Where a lamp's line takes its water from, and where it gives it back. */
export type LampPath = 'sump-to-sump' | 'sump-to-display' | 'display-to-display'

/** A display and a sump, joined by all that comes over the overflow. */
export interface TwoVolumes {
  readonly displayM3: number
  readonly sumpM3: number
  /** Over the overflow, a lamp's own line into the display included. */
  readonly overflowM3PerS: number
}

/**
 * The rate at which an organism that a lamp kills goes from both volumes, 1/s: the smaller root λ of
 * λ² − (Qr/V₁ + Qr/V₂ + κ) λ + κ Qr/V₁ = 0 for a lamp from sump to sump, κ = q kill/V₂; with
 * λ² − (Qr/V₁ + Qr/V₂) λ + Qr q kill/(V₁ V₂) = 0 for one that ends in the display; and from display to
 * display κ = q kill/V₁, last term κ Qr/V₂. A volume of nil counts as one with the other.
 */
export function slowestRemovalPerS(
  { displayM3, sumpM3, overflowM3PerS: qr }: TwoVolumes,
  path: LampPath,
  killedM3PerS: number,
): number {
  const whole = displayM3 + sumpM3
  if (killedM3PerS <= 0 || whole <= 0) return 0
  if (displayM3 <= 0 || sumpM3 <= 0) return killedM3PerS / whole
  const up = qr / displayM3
  const down = qr / sumpM3
  const across = path === 'sump-to-display'
  const kappa = killedM3PerS / (path === 'display-to-display' ? displayM3 : sumpM3)
  const sum = up + down + (across ? 0 : kappa)
  const last = path === 'display-to-display' ? kappa * down : kappa * up
  // The smaller root as 2c/(b + √(b² − 4c)): no difference of two near numbers.
  return (2 * last) / (sum + Math.sqrt(Math.max(0, sum * sum - 4 * last)))
}
