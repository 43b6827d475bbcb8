import { GRAVITY_M_PER_S2 } from '../fluid/index.ts'

/** Area of a round bore, m². */
export function boreAreaM2(boreM: number): number {
  return (Math.PI / 4) * boreM * boreM
}

/** Mean speed of a flow in a round bore, m/s. */
export function speedMPerS(flowM3PerS: number, boreM: number): number {
  return flowM3PerS / boreAreaM2(boreM)
}

/** Re = |V| D / ν. */
export function reynolds(speed: number, boreM: number, kinematicM2PerS: number): number {
  return (Math.abs(speed) * boreM) / kinematicM2PerS
}

/** V²/2g, m. */
export function velocityHeadM(speed: number): number {
  return (speed * speed) / (2 * GRAVITY_M_PER_S2)
}
