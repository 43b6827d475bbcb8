/** Relative difference, safe at zero. */
function relative(got: number, wanted: number): number {
  if (got === wanted) return 0
  return Math.abs(got - wanted) / Math.max(Math.abs(wanted), 1e-12)
}

/** Fails with both numbers and the row's name when they differ by more than the stated tolerance. */
export function expectClose(what: string, got: number, wanted: number, tolerance = 1e-6): void {
  const off = relative(got, wanted)
  if (!(off <= tolerance)) {
    throw new Error(`${what}: got ${got}, wanted ${wanted}, ${off.toExponential(2)} apart`)
  }
}
