/** What lives on a rock, or what lies there. */
export type ZoneKind = 'soft' | 'large-polyp' | 'small-polyp' | 'sand' | 'quiet'

/** The water's speed that a keeper wants in a zone, and why. */
export interface WantedRange {
  readonly zone: ZoneKind
  readonly leastMPerS: number
  readonly mostMPerS: number
  readonly reason: string
}

/** Round numbers to start from; keepers differ, and so do the animals. */
export const DEFAULT_RANGES: readonly WantedRange[] = [
  {
    zone: 'soft',
    leastMPerS: 0.04,
    mostMPerS: 0.15,
    reason: 'Sways and sheds its film; more folds it up.',
  },
  {
    zone: 'large-polyp',
    leastMPerS: 0.05,
    mostMPerS: 0.15,
    reason: 'Brings food and carries waste off; more tears flesh on sharp skeleton.',
  },
  {
    zone: 'small-polyp',
    leastMPerS: 0.1,
    mostMPerS: 0.4,
    reason: 'Dense branches need water driven through them, from more than one side.',
  },
  {
    zone: 'sand',
    leastMPerS: 0.02,
    mostMPerS: 0.2,
    reason: 'Keeps waste from settling; fine sand lifts from 20–25 cm/s.',
  },
  {
    zone: 'quiet',
    leastMPerS: 0.01,
    mostMPerS: 0.08,
    reason: 'Seahorses and other poor swimmers must be able to hold on and feed.',
  },
]

/** Water slower than this counts as dead (hydraulics §12). */
export const DEAD_M_PER_S = 0.02
/** Fine sand begins to lift from here on (hydraulics §12: 20–25 cm/s). */
export const LIFT_M_PER_S = 0.2
