import type { BasinDesign, LineEnd } from '../../design/index.ts'
import { roomFor, type TakeOffKind } from '../../fitting/index.ts'
import type { PipeSize } from '../../pipe/index.ts'
import type { Piece, Point } from '../../run/index.ts'

/** Gives an id that nothing else has. */
export type NewId = () => string

/** How far a mouth stands over the water of a new line, m (choice). */
export const OVER_WATER_M = 0.03

/** An end without a place it must reach and without a break hole. */
export const ends = (at: LineEnd['at'], id: string | null): LineEnd => ({
  at,
  id,
  place: null,
  breakDepthM: null,
})

/** A name no other line has: "Takeoff", "Takeoff 2". */
export function freeName(design: BasinDesign, wanted: string): string {
  const names = new Set(design.returnSide.lines.map((line) => line.name))
  for (let n = 1; ; n++) {
    const name = n === 1 ? wanted : `${wanted} ${n}`
    if (!names.has(name)) return name
  }
}

/** Straight pipes with an elbow at each turn from one place to another: along, to the back or front, then up or down. */
export function way(from: Point, to: Point, newId: NewId): Piece[] {
  const legs = [
    { by: to.xM - from.xM, there: 'right', back: 'left' },
    { by: to.yM - from.yM, there: 'back', back: 'front' },
    { by: to.zM - from.zM, there: 'up', back: 'down' },
  ] as const
  const pipes = legs
    .filter(({ by }) => Math.abs(by) >= 0.005)
    .map(({ by, there, back }): Piece => ({
      id: newId(),
      kind: 'pipe',
      direction: by > 0 ? there : back,
      lengthM: Math.round(Math.abs(by) * 1e6) / 1e6,
    }))
  return pipes.flatMap((pipe, i): Piece[] =>
    i === 0 ? [pipe] : [{ id: newId(), kind: 'elbow', form: 'standard-90' }, pipe],
  )
}

/** What stands in a line, and how it counts for the room that it takes. */
export interface StandsIn {
  readonly piece: Piece
  readonly as: TakeOffKind
}

/** A way with things in its first straight length that has room for all of them; at its start where none has. */
export function wayWith(
  pieces: readonly Piece[],
  things: readonly StandsIn[],
  size: PipeSize,
): Piece[] {
  const needM = roomFor(['elbow-90', ...things.map(({ as }) => as), 'elbow-90'], size)
  const at = pieces.findIndex((piece) => piece.kind === 'pipe' && piece.lengthM >= needM)
  return [
    ...pieces.slice(0, Math.max(0, at)),
    ...things.map(({ piece }) => piece),
    ...pieces.slice(Math.max(0, at)),
  ]
}
