import { addLinkSpread, type Band, bandOf, KIND_COUNT } from '../network/index.ts'
import { zeros } from '../numeric/index.ts'
import { type Fall, FallSearch } from './fall.ts'

/** How far a full pipe's flow may be off by its own pieces: S = 1/(dh/dq) for each. */
export function fallBand(fall: Fall, flowM3PerS: number): Band {
  const spreads = { links: 1, sums: zeros(KIND_COUNT), squares: zeros(KIND_COUNT) }
  const search = new FallSearch(fall)
  const { slope } = search.lossAt(flowM3PerS)
  if (flowM3PerS > 0 && slope > 0) addLinkSpread(spreads, 0, search.link, flowM3PerS)
  const per = slope > 0 ? 1 / slope : 0
  return bandOf(
    {
      sums: spreads.sums.map((sum) => per * sum),
      squares: spreads.squares.map((square) => per * per * square),
    },
    [],
  )
}

/** How far the head that a full pipe takes may be off at a flow, m: its flow's band times dh/dq. */
export function fallSpreadM(fall: Fall, flowM3PerS: number): number {
  return fallBand(fall, flowM3PerS).band * new FallSearch(fall).lossAt(flowM3PerS).slope
}
