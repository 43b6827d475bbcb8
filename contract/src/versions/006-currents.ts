import { asPlain } from './plain.ts'

/** The ranges that format 6 began with, m/s. */
const RANGES: readonly (readonly [string, number, number, string])[] = [
  ['soft', 0.04, 0.15, 'Sways and sheds its film; more folds it up.'],
  [
    'large-polyp',
    0.05,
    0.15,
    'Brings food and carries waste off; more tears flesh on sharp skeleton.',
  ],
  [
    'small-polyp',
    0.1,
    0.4,
    'Dense branches need water driven through them, from more than one side.',
  ],
  ['sand', 0.02, 0.2, 'Keeps waste from settling; fine sand lifts from 20–25 cm/s.'],
  ['quiet', 0.01, 0.08, 'Seahorses and other poor swimmers must be able to hold on and feed.'],
]

/** Format 6 knows what stands in a tank's water and what moves it. There was nothing. */
export function currents(document: unknown): unknown {
  const { tanks, ...other } = asPlain(document)
  return {
    ...other,
    tanks: Array.isArray(tanks) ? tanks.map((tank: unknown) => withScene(tank)) : tanks,
  }
}

function withScene(tank: unknown): unknown {
  if (typeof tank !== 'object' || tank === null) return tank
  return {
    ...tank,
    scene: {
      rocks: [],
      pumps: [],
      nozzles: [],
      ranges: RANGES.map(([zone, leastMPerS, mostMPerS, reason]) => ({
        zone,
        leastMPerS,
        mostMPerS,
        reason,
      })),
    },
  }
}
