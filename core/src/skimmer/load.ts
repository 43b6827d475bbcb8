/** How a food comes. */
export type FeedForm = 'cube' | 'dry' | 'sheet'

/** A food as the keeper gives it. */
export interface Feed {
  readonly id: string
  readonly name: string
  readonly form: FeedForm
  /** Cubes, pinches or sheets a day. */
  readonly perDay: number
  /** The most of them, where that is not the same every day; null: it is. */
  readonly mostPerDay: number | null
  /** Of one of them, as it is given. */
  readonly massKg: number
}

/** What a maker's rating is printed for, and what a system comes to. */
export type LoadClass = 'light' | 'medium' | 'heavy'

/** Lightest first. */
export const LOAD_CLASSES = ['light', 'medium', 'heavy'] as const satisfies readonly LoadClass[]

/** Share of a food that is no water (choice: frozen food is four fifths water, flakes and seaweed dry to the touch). */
const DRY_SHARE: Readonly<Record<FeedForm, number>> = { cube: 0.2, dry: 0.92, sheet: 0.9 }

/** Dry food a day in a cubic metre from which a system counts as medium and as heavy, kg (choice). */
export const MEDIUM_FROM_KG_PER_M3 = 0.005
/** Food a day from which a system counts as heavily fed, kg of dry mass per m³ (choice). */
export const HEAVY_FROM_KG_PER_M3 = 0.012

/** Dry food on a day of least and on a day of most feeding, kg. */
export function dryFeedKgPerDay(feeds: readonly Feed[]): { least: number; most: number } {
  let least = 0
  let most = 0
  for (const { form, perDay, mostPerDay, massKg } of feeds) {
    const dryKg = massKg * DRY_SHARE[form]
    least += perDay * dryKg
    most += (mostPerDay ?? perDay) * dryKg
  }
  return { least, most }
}

/** Dry food that is left to the skimmer in a day and a cubic metre; null without water. */
export function feedLoadKgPerM3(
  dryKgPerDay: number,
  otherShare: number,
  netVolumeM3: number,
): number | null {
  return netVolumeM3 > 0 ? (dryKgPerDay * (1 - otherShare)) / netVolumeM3 : null
}

/** The class of what is fed a day, kg of dry mass per m³ of water. */
export function loadClassOf(loadKgPerM3: number): LoadClass {
  if (loadKgPerM3 >= HEAVY_FROM_KG_PER_M3) return 'heavy'
  return loadKgPerM3 >= MEDIUM_FROM_KG_PER_M3 ? 'medium' : 'light'
}

/** The heavier of two classes. */
export function heavier(a: LoadClass, b: LoadClass): LoadClass {
  return LOAD_CLASSES.indexOf(a) >= LOAD_CLASSES.indexOf(b) ? a : b
}
