import type { SpreadKind } from '../fitting/index.ts'

/** How far a figure may be from what is computed, at two standard deviations, and what brings it. */
export interface Band {
  readonly band: number
  /** Every single fitting wrong by itself; all of a kind alike; all pieces alike. The largest counts. */
  readonly each: number
  readonly kind: number
  readonly together: number
  /** The largest of the three. */
  readonly pieces: number
  readonly pumps: number
  /** Squared shares by kind of piece, and by the links whose pumps bring one; they add up to 1, or are all nil. */
  readonly shareOfKind: Readonly<Record<SpreadKind, number>>
  readonly shareOfPump: readonly PumpShare[]
}

/** What one link's pump brings of a band. */
export interface PumpShare {
  readonly link: number
  readonly share: number
}

/** Of each kind, in the order of `SPREAD_KINDS`: what its pieces move a figure by, added up, and the squares. */
export interface MovedByKind {
  readonly sums: readonly number[]
  readonly squares: readonly number[]
}

/**
 * The square of what the pieces alone make of a band: wrong by themselves, by kind, all alike; the
 * largest counts.
 *
 * @param sums what the pieces of each kind move a figure by
 * @param square what each moves it by, squared and added up
 */
export function piecesOf(sums: readonly number[], square: number): number {
  return largest(square, totalOfSquares(sums), total(sums))
}

/** Squares of what pieces move a figure by, by themselves and by kind, and what they do all alike: the largest square. */
export function largest(each: number, byKind: number, together: number): number {
  return Math.max(each, byKind, together * together)
}

/** All of a list. */
export function total(list: readonly number[]): number {
  let sum = 0
  for (let k = 0; k < list.length; k++) sum += list[k]!
  return sum
}

function totalOfSquares(list: readonly number[]): number {
  let sum = 0
  for (let k = 0; k < list.length; k++) sum += list[k]! * list[k]!
  return sum
}

/**
 * The band of a figure (hydraulics reference, §3): each = √Σ(S d)², kind = √Σ over kinds (Σ S d)²,
 * together = |Σ S d|; the largest of these, and the pumps' by root sum of squares.
 *
 * @param pumps what each pump moves it by, squared
 */
export function bandOf(moved: MovedByKind, pumps: readonly PumpShare[]): Band {
  const { sums, squares } = moved
  const each = total(squares)
  const pieces = piecesOf(sums, each)
  let byPumps = 0
  for (const pump of pumps) byPumps += pump.share
  const all = each + byPumps
  const share = (square: number) => (all > 0 ? square / all : 0)
  return {
    band: Math.sqrt(pieces + byPumps),
    each: Math.sqrt(each),
    kind: Math.sqrt(totalOfSquares(sums)),
    together: Math.abs(total(sums)),
    pieces: Math.sqrt(pieces),
    pumps: Math.sqrt(byPumps),
    shareOfKind: {
      fittings: share(squares[0]!),
      tees: share(squares[1]!),
      'part-closed-valves': share(squares[2]!),
      devices: share(squares[3]!),
      friction: share(squares[4]!),
    },
    shareOfPump: pumps.map((pump) => ({ link: pump.link, share: share(pump.share) })),
  }
}
