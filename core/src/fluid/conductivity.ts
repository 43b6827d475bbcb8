/** Conductivity of standard sea water at 35 ppt, 15 °C, mS/cm (Lewis 1980). */
const STANDARD_MS_PER_CM = 42.914

/**
 * Practical salinity from conductivity at one atmosphere: PSS-78 (Lewis 1980, IEEE Journal of
 * Oceanic Engineering OE-5). Valid 2–42, −2–35 °C.
 */
export function salinityFromConductivityPpt(
  conductivityMSPerCm: number,
  temperatureC: number,
): number {
  const t = temperatureC
  const rt = 0.6766097 + t * (2.00564e-2 + t * (1.104259e-4 + t * (-6.9698e-7 + t * 1.0031e-9)))
  const x = Math.sqrt(conductivityMSPerCm / STANDARD_MS_PER_CM / rt)
  const standard =
    0.008 + x * (-0.1692 + x * (25.3851 + x * (14.0941 + x * (-7.0261 + x * 2.7081))))
  const shift = 0.0005 + x * (-0.0056 + x * (-0.0066 + x * (-0.0375 + x * (0.0636 + x * -0.0144))))
  return standard + ((t - 15) / (1 + 0.0162 * (t - 15))) * shift
}
