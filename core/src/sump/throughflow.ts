/** Time the water stays in a volume: V/Q; Infinity where nothing flows. */
export function throughflowS(volumeM3: number, flowM3PerS: number): number {
  return flowM3PerS > 0 ? volumeM3 / flowM3PerS : Infinity
}

/** Mean speed of a flow over a chamber's cross-section, m/s. */
export function sectionSpeed(flowM3PerS: number, widthM: number, depthM: number): number {
  return widthM > 0 && depthM > 0 ? flowM3PerS / (widthM * depthM) : 0
}
