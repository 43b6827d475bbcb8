/** Room that something takes on the sheet, px. */
export interface PxBox {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** Room that a box shares with others, px². */
export const sharedWith = (box: PxBox, others: readonly PxBox[]): number =>
  others.reduce((sum, other) => sum + shared(box, other), 0)

/** Room that two boxes share, px². */
function shared(a: PxBox, b: PxBox): number {
  const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left)
  const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
  return wide > 0 && high > 0 ? wide * high : 0
}
