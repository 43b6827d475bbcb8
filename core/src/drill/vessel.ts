/** What holds water: straight-sided, so that its level rises evenly with what is in it. */
export interface Vessel {
  readonly id: string
  /** Of its water's surface, m². */
  readonly areaM2: number
  /** Height of its water when it is empty, above the room's floor, m. */
  readonly floorM: number
  /** What lies in it under water, m³: the water stands that much higher. */
  readonly submergedM3: number
}

/** The floor, the air, a pipe's own water: things whose level moves nothing. */
export function store(id: string): Vessel {
  return { id, areaM2: 1, floorM: 0, submergedM3: 0 }
}

export function levelIn({ areaM2, floorM, submergedM3 }: Vessel, volumeM3: number): number {
  return floorM + (volumeM3 + submergedM3) / areaM2
}

export function volumeAt({ areaM2, floorM, submergedM3 }: Vessel, levelM: number): number {
  return (levelM - floorM) * areaM2 - submergedM3
}

/** Writes every vessel's level. */
export function levelsOf(
  vessels: readonly Vessel[],
  volumes: Float64Array,
  into: Float64Array,
): void {
  for (let i = 0; i < vessels.length; i++) into[i] = levelIn(vessels[i]!, volumes[i]!)
}
