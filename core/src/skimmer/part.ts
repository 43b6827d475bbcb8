import type { LoadClass } from './load.ts'

/** Stands in the water, beside the sump, or hangs on its rim. */
export type SkimmerForm = 'internal' | 'external' | 'hung'

/** What a maker says of a skimmer, at full speed. */
export interface SkimmerSpec {
  readonly form: SkimmerForm
  /** System volume it is printed to serve at each load, m³. */
  readonly ratedM3: Readonly<Record<LoadClass, number>>
  /** Water through its body. */
  readonly flowM3PerS: number
  readonly airM3PerS: number
  /** Water in its body as it runs. */
  readonly bodyM3: number
  readonly neckBoreM: number
  /** Depths of water it works in, m; null: it stands dry. */
  readonly wantsDepth: { readonly leastM: number; readonly mostM: number } | null
  /** What falls back out of it when it stops, m³. */
  readonly givesBackM3: number
  /** How far its cup must rise to come off, m. */
  readonly cupLiftM: number
}
