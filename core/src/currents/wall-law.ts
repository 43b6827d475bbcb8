/** Kármán's constant, and the log law's height over a smooth and over a rough wall. */
export const KARMAN = 0.41
const SMOOTH = 5.0
const ROUGH = 8.5
/** Where the viscous layer gives way to the log law, in wall units. */
const VISCOUS_TO = 11
const ITERATIONS = 6

/** A wall takes so many steps' drag at once: what it takes in one is little. */
export const DRAG_STEPS = 4

/** Where a speed is looked at, and by what wall. */
export interface AtWall {
  /** From the wall. */
  readonly offM: number
  /** Height of the wall's grains; zero: smooth. */
  readonly roughM: number
  /** Kinematic viscosity of the water itself, m²/s. */
  readonly viscosityM2PerS: number
}

/**
 * Friction velocity of a wall by the speed along it at a distance: u/u_τ = ln(y u_τ/ν)/0.41 + 5 over a
 * smooth wall, ln(y/k)/0.41 + 8.5 over a rough one, y u_τ/ν in the viscous layer of a smooth one. Any
 * units, as long as they are alike.
 */
export function frictionVelocity(speed: number, { offM, roughM, viscosityM2PerS }: AtWall): number {
  if (speed <= 0) return 0
  if (roughM > 0) return speed / Math.max(1, Math.log(offM / roughM) / KARMAN + ROUGH)
  const viscous = Math.sqrt((speed * viscosityM2PerS) / offM)
  if ((offM * viscous) / viscosityM2PerS < VISCOUS_TO) return viscous
  let friction = viscous
  for (let i = 0; i < ITERATIONS; i++)
    friction = speed / (Math.log((offM * friction) / viscosityM2PerS) / KARMAN + SMOOTH)
  return friction
}
