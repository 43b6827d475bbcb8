/** A flow and how far it may be off, m³/s. */
export interface BandedFlow {
  readonly flowM3PerS: number
  readonly flowBandM3PerS: number
}

/** Share by which a flow may be off; nil where nothing flows. */
export function flowShareOf({ flowM3PerS, flowBandM3PerS }: BandedFlow): number {
  return flowM3PerS > 0 ? flowBandM3PerS / flowM3PerS : 0
}
