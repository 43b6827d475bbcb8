/** Inside = outside less a panel on either side. */
export function insideM(outsideM: number, panelM: number): number {
  return outsideM - 2 * panelM
}

/** Width of a wall that is sealed in with silicone on either side. */
export function panelWidthM(insideWidthM: number, gapM: number): number {
  return insideWidthM - 2 * gapM
}
