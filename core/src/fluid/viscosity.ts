/**
 * Dynamic viscosity of sea water, Pa·s: Sharqawy, Lienhard & Zubair 2010 (Desalination and Water
 * Treatment 16), eq. 22 and 23. Valid 0–150 g/kg, 0–180 °C; stated error 1.5 %.
 * Here 1 ppt counts as 1 g/kg (choice).
 */
export function viscosityPaS(salinityPpt: number, temperatureC: number): number {
  const t = temperatureC
  const s = salinityPpt / 1000
  const fresh = 4.2844e-5 + 1 / (0.157 * (t + 64.993) ** 2 - 91.296)
  const a = 1.541 + 1.998e-2 * t - 9.52e-5 * t * t
  const b = 7.974 - 7.561e-2 * t + 4.724e-4 * t * t
  return fresh * (1 + a * s + b * s * s)
}
