/** Water against what a skimmer wants, and what would bring it there. */
export interface SkimmerDepth {
  /** Water over its own foot. */
  readonly depthM: number
  readonly leastM: number
  readonly mostM: number
  readonly says: 'shallow' | 'right' | 'deep'
  /** Height of a stand that leaves the middle of what it wants, m; zero: on the floor, where the water is too shallow for it. */
  readonly standM: number
  /** Depth the chamber itself would need with the skimmer on its present stand, m. */
  readonly wantedChamberDepthM: number
}

/** How a skimmer on a stand of `standM` meets the water of its chamber. */
export function skimmerDepth(
  { leastM, mostM }: { readonly leastM: number; readonly mostM: number },
  chamberDepthM: number,
  standM: number,
): SkimmerDepth {
  const depthM = chamberDepthM - standM
  const middleM = (leastM + mostM) / 2
  return {
    depthM,
    leastM,
    mostM,
    says: depthM < leastM ? 'shallow' : depthM > mostM ? 'deep' : 'right',
    standM: Math.max(0, chamberDepthM - middleM),
    wantedChamberDepthM: middleM + standM,
  }
}
