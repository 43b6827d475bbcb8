import { GRAVITY_M_PER_S2, type Water } from '../fluid/index.ts'
import { brent } from '../numeric/index.ts'

/** Air at room temperature. */
const AIR_KG_PER_M3 = 1.2
/** From here bubbles flatten and rise no faster: water going down this fast carries all of them, m/s. */
export const CARRIES_ALL_M_PER_S = 0.2

/** Water's speed down a gap: v = Q/(width × gap). */
export function downwardSpeed(flowM3PerS: number, widthM: number, gapM: number): number {
  return flowM3PerS / (widthM * gapM)
}

/** Drag of a sphere, Schiller & Naumann: max(24/Re (1 + 0.15 Re^0.687), 0.44). */
function dragCoefficient(re: number): number {
  return Math.max((24 / re) * (1 + 0.15 * re ** 0.687), 0.44)
}

/** Diameter whose terminal speed is given: 4/3 (ρ − ρₐ) g d = Cd ρ v². */
export function bubbleOfSpeedM(riseMPerS: number, water: Water): number {
  if (riseMPerS <= 0) return 0
  const { densityKgPerM3: density, kinematicM2PerS } = water
  const buoyancy = ((4 / 3) * (density - AIR_KG_PER_M3) * GRAVITY_M_PER_S2) / density
  const spare = (diameterM: number) =>
    buoyancy * diameterM -
    dragCoefficient((riseMPerS * diameterM) / kinematicM2PerS) * riseMPerS * riseMPerS
  const found = brent(spare, 1e-7, 1, { tolerance: 1e-15 })
  if (!found.ok) throw new RangeError(`no bubble rises at ${riseMPerS} m/s`)
  return found.value
}
