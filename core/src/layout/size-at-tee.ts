import { memoize } from '../numeric/index.ts'
import { boreOf, isHose, type PipeSize } from '../pipe/index.ts'
import type { PlacedPiece } from '../run/index.ts'
import type { Layout } from './layout.ts'

/** The size of the line that has a tee among its pieces, where the tee stands; null: no line has it. */
export function sizeAtTee({ lines }: Layout, teeId: string): PipeSize | null {
  for (const { placed } of lines) {
    const size = teeSizes(placed).get(teeId)
    if (size) return size
  }
  return null
}

/** The size that each tee of a laid line has. */
const teeSizes = memoize((placed: readonly PlacedPiece[]) => {
  const sizes = new Map<string, PipeSize>()
  for (const { piece, sizeBefore } of placed) {
    if (piece.kind === 'tee') sizes.set(piece.id, sizeBefore)
  }
  return sizes
})

/** Do two sizes go together without an adapter: both hose or both pipe, of one bore? */
export function sizesFit(a: PipeSize, b: PipeSize): boolean {
  return isHose(a.series) === isHose(b.series) && boreOf(a).boreM === boreOf(b).boreM
}
