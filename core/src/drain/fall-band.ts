import {
  addLinkSpread,
  type Band,
  bandOf,
  KIND_COUNT,
  piecesOf,
  type SpreadSums,
  total,
} from '../network/index.ts'
import { zeros } from '../numeric/index.ts'
import type { FallSearch } from './fall.ts'

/** What is uncertain in a full pipe at a flow, m. */
function spreadsOf({ link }: FallSearch, flowM3PerS: number): SpreadSums {
  const spreads = { links: 1, sums: zeros(KIND_COUNT), squares: zeros(KIND_COUNT) }
  if (flowM3PerS > 0) addLinkSpread(spreads, 0, link, flowM3PerS)
  return spreads
}

/** How far the head that a full pipe takes at a flow may be off by its own pieces, m. */
export function fallSpreadM(search: FallSearch, flowM3PerS: number): number {
  const { sums, squares } = spreadsOf(search, flowM3PerS)
  return Math.sqrt(piecesOf(sums, total(squares)))
}

/** How far a full pipe's flow may be off, and what brings it: the same through S = 1/(dh/dq). */
export function fallBand(search: FallSearch, flowM3PerS: number): Band {
  const { slope } = search.lossAt(flowM3PerS)
  const { sums, squares } = spreadsOf(search, flowM3PerS)
  const per = slope > 0 ? 1 / slope : 0
  return bandOf(
    {
      sums: sums.map((sum) => per * sum),
      squares: squares.map((square) => per * per * square),
    },
    [],
  )
}
