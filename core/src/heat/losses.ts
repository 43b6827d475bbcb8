/** What stands between water and room, by what it is made of. */
export interface Surfaces {
  /** Wetted panels of glass and of thin acrylic, m². */
  readonly glassM2: number
  /** Wetted panels of acrylic 10 mm and more, m². */
  readonly acrylicM2: number
  /** Open water, m². */
  readonly openM2: number
}

/** Through glass and thin acrylic, convection and radiation outside (choice), W/m²K. */
const THROUGH_GLASS = 4.5
/** Through acrylic of 10 mm and more (choice), W/m²K. */
const THROUGH_ACRYLIC = 4
/** From an open surface, what evaporates apart (choice), W/m²K. */
const FROM_SURFACE = 6

/** Heat lost to the room for each degree the water is warmer, W/K: Σ U A. */
export function conductanceWPerK({ glassM2, acrylicM2, openM2 }: Surfaces): number {
  return THROUGH_GLASS * glassM2 + THROUGH_ACRYLIC * acrylicM2 + FROM_SURFACE * openM2
}
