/** What a vessel is: a part of the design that the keeper sees by its owner's id, or a store of water named for itself. */
export interface VesselOf {
  readonly kind: 'tank' | 'inner' | 'box' | 'chamber' | 'store'
  /** Of the tank or the chamber; a store's own name. */
  readonly id: string
}

/** What holds water: straight-sided, so that its level rises evenly with what is in it. */
export interface Vessel {
  readonly of: VesselOf
  /** Of its water's surface, m². */
  readonly areaM2: number
  /** Height of its water when it is empty, above the room's floor, m. */
  readonly floorM: number
  /** What lies in it under water, m³: the water stands that much higher. */
  readonly submergedM3: number
}

/** The floor, the air, a pipe's own water: things whose level moves nothing. */
export function store(name: string): Vessel {
  return { of: { kind: 'store', id: name }, areaM2: 1, floorM: 0, submergedM3: 0 }
}

/** Tells a vessel from all others of a plant, in what is printed. */
export function vesselKey({ of: { kind, id } }: Vessel): string {
  return kind === 'box' || kind === 'inner' ? `${kind} ${id}` : id
}

/** Place of a vessel; −1: there is none. */
export function placeOfVessel(vessels: readonly VesselOf[], kind: VesselOf['kind'], id: string) {
  return vessels.findIndex((vessel) => vessel.kind === kind && vessel.id === id)
}

/** Level of a vessel that holds so much, m over the room's floor. */
export function levelIn({ areaM2, floorM, submergedM3 }: Vessel, volumeM3: number): number {
  return floorM + (volumeM3 + submergedM3) / areaM2
}

/** What a vessel holds at a level, m³; the inverse of `levelIn`. */
export function volumeAt({ areaM2, floorM, submergedM3 }: Vessel, levelM: number): number {
  return (levelM - floorM) * areaM2 - submergedM3
}

/** Writes every vessel's level. */
export function levelsOf(vessels: readonly Vessel[], volumes: number[], into: number[]): void {
  for (let i = 0; i < vessels.length; i++) into[i] = levelIn(vessels[i]!, volumes[i]!)
}
