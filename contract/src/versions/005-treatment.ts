import { asPlain } from './plain.ts'

const EXTENSION = 'quoted in aquaculture extension literature'
const DAY_S = 86_400

/** The table that format 5 began with. */
const TARGETS: readonly (readonly [string, string, number, number, number | null])[] = [
  ['green-water', 'Green-water algae', 220, 300, DAY_S],
  ['bacteria', 'Bacteria', 150, 300, DAY_S / 4],
  ['trichodina', 'Trichodina', 350, 350, null],
  ['ich', 'Ichthyophthirius (fresh water, for comparison)', 1000, 1000, null],
  ['amyloodinium', 'Amyloodinium', 1050, 1050, null],
  ['cryptocaryon', 'Cryptocaryon', 2800, 2800, null],
]

/**
 * Format 5 knows devices as things with a place, the cabinet round the sump, and what the water has
 * to be cleaned of. There were none: what a chamber held of its skimmer stays as it was.
 */
export function treatment(document: unknown): unknown {
  const { sump, ...other } = asPlain(document)
  const { topOff, ...rest } = asPlain(sump)
  return {
    ...other,
    sump: {
      ...rest,
      topOff:
        typeof topOff === 'object' && topOff !== null ? { ...topOff, runLimitS: null } : topOff,
      devices: [],
      cabinet: null,
    },
    treatment: {
      feeds: [],
      stock: 'medium',
      otherShare: 0,
      school: 'match',
      factor: 1.5,
      targets: TARGETS.map(([id, organism, leastJPerM2, mostJPerM2, doublingS]) => ({
        id,
        organism,
        leastJPerM2,
        mostJPerM2,
        doublingS,
        source: EXTENSION,
      })),
      targetId: null,
    },
  }
}
