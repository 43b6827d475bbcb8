import { COUNTS, LIMITS, withinLimit, type Limit } from '@yew-basin/contract/limits'
import type { Piece, UnitFamily } from '@yew-basin/core'
import { rangeText } from '../bench/range.ts'

/** What is impossible about a typed piece, or null. */
export function pieceFault(piece: Piece, family: UnitFamily): string | null {
  const numbers: readonly (readonly [string, number | null, Limit])[] = numbersOf(piece)
  const bad = numbers.find(([, si, limit]) => si !== null && !withinLimit(limit, si))
  if (bad) return `${bad[0]} can be ${rangeText(bad[2], family)}.`
  if (
    piece.kind === 'valve' &&
    piece.form === 'diaphragm' &&
    piece.opening > 0 &&
    piece.opening < 1
  ) {
    return 'a diaphragm valve’s part-open loss is not known: say open or shut.'
  }
  return null
}

function numbersOf(piece: Piece): (readonly [string, number | null, Limit])[] {
  switch (piece.kind) {
    case 'pipe':
      return [['a length', piece.lengthM, LIMITS.pipeLength]]
    case 'valve':
      return [
        ['an opening', piece.opening, LIMITS.opening],
        ['a Kv', piece.kvM3PerH, LIMITS.kv],
      ]
    case 'check-valve':
      return [['a Kv', piece.kvM3PerH, LIMITS.kv]]
    case 'reducer':
      return [
        ['a bore', piece.to.boreM, LIMITS.bore],
        ['an angle', piece.angleDeg, LIMITS.reducerAngle],
      ]
    case 'bulkhead':
    case 'nozzle':
      return [['a bore', piece.boreM, LIMITS.bore]]
    case 'device':
      return [
        ['a K', piece.k, LIMITS.loss],
        ['a Kv', piece.kvM3PerH, LIMITS.kv],
      ]
    case 'free-hose':
      return [
        ['a length', piece.lengthM, LIMITS.pipeLength],
        ['its way to the right', piece.byXM, LIMITS.by],
        ['its way to the back', piece.byYM, LIMITS.by],
        ['its way up', piece.byZM, LIMITS.by],
      ]
    case 'tee':
    case 'elbow':
    case 'union':
      return []
  }
}

/** A run takes no more pieces than this. */
export function isFull(pieces: readonly Piece[]): boolean {
  return pieces.length >= COUNTS.pieces
}
