/** A rectangle on the floor, m. */
export interface Rectangle {
  readonly fromXM: number
  readonly toXM: number
  readonly fromYM: number
  readonly toYM: number
}

/** Room of a thing to its neighbour; negative: they overlap by so much. */
export function clearanceM(rectangle: Rectangle, other: Rectangle): number {
  const acrossM = Math.max(other.fromXM - rectangle.toXM, rectangle.fromXM - other.toXM)
  const alongM = Math.max(other.fromYM - rectangle.toYM, rectangle.fromYM - other.toYM)
  if (acrossM > 0 && alongM > 0) return Math.hypot(acrossM, alongM)
  return Math.max(acrossM, alongM)
}

/** The widest of the four gaps between a thing and what it stands in; what a hand can come in by. */
export function widestGapM(inner: Rectangle, outer: Rectangle): number {
  return Math.max(
    inner.fromXM - outer.fromXM,
    outer.toXM - inner.toXM,
    inner.fromYM - outer.fromYM,
    outer.toYM - inner.toYM,
  )
}

/** How far a thing sticks out of what it should stand in; zero: not at all. */
export function sticksOutM(inner: Rectangle, outer: Rectangle): number {
  return Math.max(
    0,
    outer.fromXM - inner.fromXM,
    inner.toXM - outer.toXM,
    outer.fromYM - inner.fromYM,
    inner.toYM - outer.toYM,
  )
}
