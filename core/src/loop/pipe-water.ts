import { filledShareOf } from '../drain/index.ts'
import { boreAreaM2 } from '../pipe/index.ts'
import type { PlacedPiece } from '../run/index.ts'
import type { SteadyState } from './find-steady-state.ts'
import type { LaidDrain } from './lay-drains.ts'

/** Water that stands in the straight pipe of a run, or of a stretch of it, above a level, m³. */
export function pipeWaterM3(
  placed: readonly PlacedPiece[],
  levelM: number,
  filledShare: number,
  stretch?: { readonly firstPiece: number; readonly endPiece: number },
): number {
  let volumeM3 = 0
  const end = stretch ? stretch.endPiece : placed.length
  for (let i = stretch ? stretch.firstPiece : 0; i < end; i++) {
    const { piece, from, to, boreBeforeM } = placed[i]!
    if (piece.kind !== 'pipe' && piece.kind !== 'free-hose') continue
    const low = Math.min(from.zM, to.zM)
    const high = Math.max(from.zM, to.zM)
    if (high <= levelM) continue
    const share = low >= levelM ? 1 : (high - levelM) / (high - low)
    volumeM3 += boreAreaM2(boreBeforeM) * piece.lengthM * share
  }
  return volumeM3 * filledShare
}

/** What stands in a drain while it runs, and falls when it stops, m³. */
export function drainWaterM3(
  { drainFlows, chambers, place }: SteadyState,
  laid: LaidDrain,
): number {
  const flow = drainFlows[laid.index]!
  if (flow <= 0) return 0
  const share = laid.drain.role === 'siphon' ? 1 : filledShareOf(laid.leastBoreM, flow)
  return pipeWaterM3(laid.placed, chambers[place.get(laid.chamberId)!]!.levelM, share)
}
