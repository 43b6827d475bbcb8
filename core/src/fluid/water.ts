import { memoize } from '../numeric/index.ts'
import { densityKgPerM3 } from './density.ts'
import { viscosityPaS } from './viscosity.ts'

/** Standard gravity, m/s². */
export const GRAVITY_M_PER_S2 = 9.80665

/** What a keeper measures. */
export interface WaterReading {
  readonly salinityPpt: number
  readonly temperatureC: number
}

/** What the equations need. */
export interface Water {
  readonly densityKgPerM3: number
  readonly viscosityPaS: number
  /** ν = μ/ρ. */
  readonly kinematicM2PerS: number
}

/** Density and viscosity of sea water as the keeper reads it (hydraulics reference, §1). */
export const waterAt = memoize(({ salinityPpt, temperatureC }: WaterReading): Water => {
  const density = densityKgPerM3(salinityPpt, temperatureC)
  const viscosity = viscosityPaS(salinityPpt, temperatureC)
  return {
    densityKgPerM3: density,
    viscosityPaS: viscosity,
    kinematicM2PerS: viscosity / density,
  }
})
