import type { Device } from './devices.ts'
import type { Sump } from './sump.ts'

/** Does it take room in its chamber's water? */
export function standsInWater({ chamberId, part }: Device): boolean {
  return chamberId !== null && (part.skimmer === null || part.skimmer.form === 'internal')
}

/** What takes room in a chamber: what the keeper gives, and devices. */
export interface ChamberContents {
  readonly footprintM2: number
  readonly submergedM3: number
}

/** Of every chamber, in order. */
export function chamberContents({ chambers, devices }: Sump): readonly ChamberContents[] {
  if (devices.length === 0) return chambers
  return chambers.map(({ id, footprintM2, submergedM3 }) => ({
    footprintM2: devices.reduce(
      (sum, device) =>
        device.chamberId === id && standsInWater(device) ? sum + device.part.sectionM2 : sum,
      footprintM2,
    ),
    submergedM3,
  }))
}

/** What comes back out of hung and standing equipment when all of it stops, m³. */
export function givenBackM3(sump: Sump): number {
  return sump.hungWaterM3 + skimmersGiveBackM3(sump)
}

/** What the skimmers alone let go, m³. */
export function skimmersGiveBackM3({ devices }: Sump): number {
  return devices.reduce((sum, { part }) => sum + (part.skimmer?.givesBackM3 ?? 0), 0)
}

/** Where that water comes back: the chamber with the skimmer, else the one made for it; null: nobody says. */
export function heldUpChamberId({ devices, chambers }: Sump): string | null {
  const skimmer = devices.find(({ part, chamberId }) => part.skimmer && chamberId !== null)
  return skimmer?.chamberId ?? chambers.find(({ use }) => use === 'skimmer')?.id ?? null
}
