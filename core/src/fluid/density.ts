/**
 * Density of sea water at one atmosphere, kg/m³: EOS-80 (Millero & Poisson 1981, Deep-Sea
 * Research 28A; UNESCO Technical Paper 36). Valid 0–42 ppt, −2–40 °C; stated error 3.6e-3 kg/m³.
 */
export function densityKgPerM3(salinityPpt: number, temperatureC: number): number {
  const t = temperatureC
  const s = salinityPpt
  const fresh =
    999.842594 +
    t * (6.793952e-2 + t * (-9.09529e-3 + t * (1.001685e-4 + t * (-1.120083e-6 + t * 6.536332e-9))))
  const a = 8.24493e-1 + t * (-4.0899e-3 + t * (7.6438e-5 + t * (-8.2467e-7 + t * 5.3875e-9)))
  const b = -5.72466e-3 + t * (1.0227e-4 + t * -1.6546e-6)
  const c = 4.8314e-4
  return fresh + a * s + b * s * Math.sqrt(s) + c * s * s
}

/** The same without salt. */
export function freshDensityKgPerM3(temperatureC: number): number {
  return densityKgPerM3(0, temperatureC)
}

/** ρ(S, T)/ρ(0, T), both at the water's own temperature: what a keeper's float or refractometer reads. */
export function specificGravity(salinityPpt: number, temperatureC: number): number {
  return densityKgPerM3(salinityPpt, temperatureC) / densityKgPerM3(0, temperatureC)
}
