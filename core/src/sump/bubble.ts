import { GRAVITY_M_PER_S2, type Water } from '../fluid/index.ts'
import { risingRoot, type ValueSlope } from '../numeric/index.ts'

/** Air at room temperature. */
const AIR_KG_PER_M3 = 1.2
/** From here bubbles flatten and rise no faster: water going down this fast carries all of them, m/s. */
export const CARRIES_ALL_M_PER_S = 0.2

/** Water's speed down a gap: v = Q/(width × gap). */
export function downwardSpeed(flowM3PerS: number, widthM: number, gapM: number): number {
  return flowM3PerS / (widthM * gapM)
}

/** Where turbulence takes over from viscous drag. */
const TURBULENT_DRAG = 0.44

/**
 * Diameter whose terminal speed is given: 4/3 (ρ − ρₐ) g d = Cd ρ v², Cd = max(24/Re (1 + 0.15
 * Re^0.687), 0.44) of a sphere, Schiller & Naumann. Whichever drag is the larger asks for the larger
 * bubble.
 */
export function bubbleOfSpeedM(riseMPerS: number, water: Water): number {
  if (riseMPerS <= 0) return 0
  const { densityKgPerM3: density, kinematicM2PerS } = water
  const buoyancy = ((4 / 3) * (density - AIR_KG_PER_M3) * GRAVITY_M_PER_S2) / density
  // Re = v d/ν turns the balance into Re²/(1 + 0.15 Re^0.687) = 24 v³/(buoyancy ν).
  const wanted = (24 * riseMPerS ** 3) / (buoyancy * kinematicM2PerS)
  const { x: re } = risingRoot(viscousBalance, wanted, SEARCH)
  const viscousM = (re * kinematicM2PerS) / riseMPerS
  return Math.max(viscousM, (TURBULENT_DRAG * riseMPerS * riseMPerS) / buoyancy)
}

const SEARCH = { low: 0, guess: 100, most: 1e7, tolerance: 1e-9 }

function viscousBalance(re: number, into: ValueSlope): void {
  const faster = 0.15 * re ** 0.687
  into.value = (re * re) / (1 + faster)
  into.slope = (into.value / re) * (2 - (0.687 * faster) / (1 + faster))
}
