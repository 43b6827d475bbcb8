import { asPlain } from './plain.ts'

/** Format 8 knows what drills allow for. What was never asked stays the usual figure. */
export function allowances(document: unknown): unknown {
  return {
    ...asPlain(document),
    allowances: {
      outOfLevelM: null,
      wavesM: null,
      leakM3PerS: null,
      cupCollectorM3: null,
      topOffTubeSiphons: false,
    },
  }
}
