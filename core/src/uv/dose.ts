import type { LampState, SterilizerSpec } from './part.ts'

/** What a lamp has lost at its rated hours. */
const LOST_AT_RATED = 0.2
const CENTIMETRE_M = 0.01

/** Share of a new lamp's light: 1 → 0.8 over its rated hours, on along the same line past them, not below zero. */
export function ageing(burnedS: number, ratedS: number): number {
  return Math.max(0, 1 - (LOST_AT_RATED * burnedS) / ratedS)
}

/** Water between sleeve and chamber along the arc, m³: π(r₂² − r₁²) L. */
export function chamberVolumeM3(spec: SterilizerSpec): number {
  const { sleeveDiameterM, chamberBoreM, arcLengthM } = spec
  return (Math.PI / 4) * (chamberBoreM ** 2 - sleeveDiameterM ** 2) * arcLengthM
}

/**
 * Mean over the annulus of E(r) = P/(2π r L) · T^((r − r₁)/1 cm), new lamp and clean sleeve, W/m²:
 * P/(π(r₂² − r₁²) L) · ∫ T^((r − r₁)/1 cm) dr, in closed form.
 */
export function meanIrradianceWPerM2(spec: SterilizerSpec): number {
  const gapM = (spec.chamberBoreM - spec.sleeveDiameterM) / 2
  const decay = Math.log(spec.transmittancePerCm)
  const path =
    decay === 0 ? gapM : (CENTIMETRE_M / decay) * Math.expm1((decay * gapM) / CENTIMETRE_M)
  return (spec.uvcPowerW * path) / chamberVolumeM3(spec)
}

/** Time the water is lit. */
export function residenceS(spec: SterilizerSpec, flowM3PerS: number): number {
  return chamberVolumeM3(spec) / flowM3PerS
}

/** Dose times flow, which no flow changes: J/m² · m³/s. */
export function doseFlow(spec: SterilizerSpec, lamp: LampState): number {
  const a = ageing(lamp.burnedS, spec.ratedHoursS)
  if (spec.by === 'maker') {
    return spec.ratedDoseJPerM2 * spec.ratedFlowM3PerS * a * lamp.waterFactor * lamp.sleeveFactor
  }
  const lit = meanIrradianceWPerM2(spec) * chamberVolumeM3(spec) * spec.mixingFactor
  return lit * a * lamp.sleeveFactor
}

/** D = D₀ (Q₀/Q) · a · u, or E · V/Q · mixing · a, each times the sleeve; ∞ at no flow. */
export function doseJPerM2(spec: SterilizerSpec, lamp: LampState, flowM3PerS: number): number {
  return flowM3PerS > 0 ? doseFlow(spec, lamp) / flowM3PerS : Infinity
}

/** The flow at which water gets this dose. */
export function flowForDose(spec: SterilizerSpec, lamp: LampState, wantedJPerM2: number): number {
  return doseFlow(spec, lamp) / wantedJPerM2
}
