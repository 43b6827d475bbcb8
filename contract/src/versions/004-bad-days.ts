import { asPlain, eachOf } from './plain.ts'

/** The bulkheads that format 3 knew by their sizes alone: bore, hole and flange, m. */
const BULKHEADS: Readonly<Record<string, readonly [number, number, number]>> = {
  '1/2 in': [0.0127, 0.028702, 0.04318],
  '3/4 in': [0.01905, 0.0381, 0.05588],
  '1 in': [0.0254, 0.04445, 0.06604],
  '1 1/4 in': [0.03175, 0.05715, 0.08128],
  '1 1/2 in': [0.0381, 0.0635, 0.09144],
  '2 in': [0.0508, 0.0762, 0.10922],
  '20 mm': [0.016, 0.029, 0.044],
  '25 mm': [0.02, 0.035, 0.052],
  '32 mm': [0.027, 0.044, 0.064],
  '40 mm': [0.034, 0.054, 0.076],
  '50 mm': [0.043, 0.065, 0.092],
  '63 mm': [0.054, 0.08, 0.112],
}

/**
 * Format 4 has what the drills need: a top-off, and bad days of the keeper's own; there were none.
 * A hole carries its bulkhead, as it was when chosen, instead of one of twelve sizes.
 */
export function badDays(document: unknown): unknown {
  const { tanks, sump, ...other } = asPlain(document)
  return {
    ...other,
    tanks: eachOf(tanks, (tank) => {
      if (typeof tank.overflow !== 'object' || tank.overflow === null) return tank
      const overflow = asPlain(tank.overflow)
      return { ...tank, overflow: { ...overflow, holes: eachOf(overflow.holes, withBulkhead) } }
    }),
    sump: { ...asPlain(sump), topOff: null },
    drills: [],
  }
}

function withBulkhead({ size, ...hole }: Record<string, unknown>): Record<string, unknown> {
  const known = typeof size === 'string' && Object.hasOwn(BULKHEADS, size) ? BULKHEADS[size] : null
  if (!known) return { ...hole, bulkhead: { size } }
  const [boreM, holeM, flangeM] = known
  return { ...hole, bulkhead: { size, boreM, holeM, flangeM } }
}
