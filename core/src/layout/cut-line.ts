import { type Line, makeLine } from '../network/index.ts'
import { flatMap, type Pchip } from '../numeric/index.ts'
import type { FittingLoss, FrictionLoss } from '../run/index.ts'
import type { FixedLine, Tees } from './laid-line.ts'

/** What one of a line's stretches between meetings of water costs, wherever the water stands. */
export interface LineCut {
  /** Pieces from this place up to, not with, the other. */
  readonly firstPiece: number
  readonly endPiece: number
  /** The tee it ends at; null: it is the line's last. */
  readonly teeId: string | null
  readonly line: Line
  readonly tables: readonly Pchip[]
  /** A valve in it is shut. */
  readonly shut: boolean
  readonly hasCheck: boolean
}

/** A line's stretches, from its start to its end. */
export function cutLine(fixed: FixedLine, tees: Tees): LineCut[] {
  const cuts = cutAtTees(fixed, tees)
  return cuts.map(([firstPiece, endPiece, teeId], n) => {
    const start = n === 0 ? fixed.startLosses : []
    const isLast = n === cuts.length - 1
    const losses = fixed.losses.slice(firstPiece, endPiece)
    const frictions = flatMap(losses, ({ friction }): FrictionLoss[] =>
      friction ? [friction] : [],
    )
    const fittings = flatMap(losses, (loss): readonly FittingLoss[] => loss.fittings)
    return {
      firstPiece,
      endPiece,
      teeId,
      line: makeLine(frictions, [...start, ...fittings, ...(isLast ? fixed.endLosses : [])]),
      tables: flatMap(losses, ({ table }): Pchip[] => (table ? [table] : [])),
      shut: losses.some(({ shut }) => shut),
      hasCheck: fixed.placed
        .slice(firstPiece, endPiece)
        .some(({ piece }) => piece.kind === 'check-valve'),
    }
  })
}

/**
 * Cuts a line at its tees. A tee that lets a line out belongs to the stretch after it, one that
 * takes a line in to the stretch before it.
 */
function cutAtTees({ placed }: FixedLine, tees: Tees): [number, number, string | null][] {
  const cuts: [number, number, string | null][] = []
  let first = 0
  placed.forEach(({ piece }, at) => {
    const other = piece.kind === 'tee' ? tees.get(piece.id)?.other : null
    if (!other) return
    const end = other.joins ? at + 1 : at
    cuts.push([first, end, piece.id])
    first = end
  })
  cuts.push([first, placed.length, null])
  return cuts
}
