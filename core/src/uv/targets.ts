/** A dose that literature quotes for an organism, about three tenfold cuts. */
export interface DoseTarget {
  readonly id: string
  readonly organism: string
  readonly leastJPerM2: number
  /** The same as the least where one number is quoted. */
  readonly mostJPerM2: number
  /** In which its number doubles in open water; null: not known, or it does not multiply there. */
  readonly doublingS: number | null
  /** Where the number comes from, in the keeper's words. */
  readonly source: string
}

const MJ_PER_CM2 = 10
const HOUR_S = 3600
const QUOTED = 'quoted in aquaculture extension literature'

const target = (
  id: string,
  organism: string,
  [least, most]: readonly [number, number],
  doublingH: number | null,
): DoseTarget => ({
  id,
  organism,
  leastJPerM2: least * MJ_PER_CM2,
  mostJPerM2: most * MJ_PER_CM2,
  doublingS: doublingH === null ? null : doublingH * HOUR_S,
  source: QUOTED,
})

/** A table to begin from; quoted, not guaranteed. Doubling times are round numbers for warm water (choice). */
export const QUOTED_TARGETS: readonly DoseTarget[] = [
  target('green-water', 'Green-water algae', [22, 30], 24),
  target('bacteria', 'Bacteria', [15, 30], 6),
  target('trichodina', 'Trichodina', [35, 35], null),
  target('ich', 'Ichthyophthirius (fresh water, for comparison)', [100, 100], null),
  target('amyloodinium', 'Amyloodinium', [105, 105], null),
  target('cryptocaryon', 'Cryptocaryon', [280, 280], null),
]
