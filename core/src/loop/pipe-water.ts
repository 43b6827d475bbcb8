import { boreAreaM2 } from '../pipe/index.ts'
import type { PlacedPiece } from '../run/index.ts'
import type { StoppingPipe } from '../sump/index.ts'

/** Straight pipe above a level, by bore. */
export function addPipesAbove(
  pipes: StoppingPipe[],
  placed: readonly PlacedPiece[],
  levelM: number,
  filledShare: number,
): void {
  for (const { piece, from, to, boreBeforeM } of placed) {
    if (piece.kind !== 'pipe' && piece.kind !== 'free-hose') continue
    const low = Math.min(from.zM, to.zM)
    const high = Math.max(from.zM, to.zM)
    if (high <= levelM) continue
    const share = low >= levelM ? 1 : (high - levelM) / (high - low)
    pipes.push({ boreM: boreBeforeM, lengthM: piece.lengthM * share, filledShare })
  }
}

/** Water that stands in a run above a level, m³. */
export function pipeWaterM3(
  placed: readonly PlacedPiece[],
  levelM: number,
  filledShare: number,
): number {
  const pipes: StoppingPipe[] = []
  addPipesAbove(pipes, placed, levelM, filledShare)
  return (
    pipes.reduce((sum, { boreM, lengthM }) => sum + boreAreaM2(boreM) * lengthM, 0) * filledShare
  )
}
