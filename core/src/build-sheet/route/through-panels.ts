import type { BasinDesign, Drain } from '../../design/index.ts'
import type { PlacedPiece } from '../../run/index.ts'

/** Where an upright pipe of a drain passes a floor: through a bulkhead. */
export interface FloorPassing {
  readonly pieceId: string
  /** Height of that floor in the room, m. */
  readonly atM: number
  /** The hole it goes through; null: none is drawn, and one is assumed. */
  readonly holeId: string | null
}

/** A pipe this near to a hole's middle goes through it, m. */
const SAME_PLACE_M = 0.03

/** The first floor that a drain's pipe passes on its way down: of its tank, by a hole in it, or of its box. */
export function passingOf(
  { tanks }: BasinDesign,
  drain: Drain,
  placed: readonly PlacedPiece[],
): FloorPassing | null {
  const tank = tanks.find(({ id }) => id === drain.tankId)
  if (!tank?.overflow) return null
  const { holes, box, form } = tank.overflow
  for (const { piece, from, to } of placed) {
    if (piece.kind !== 'pipe' || piece.direction !== 'down') continue
    const passes = (floorM: number) => from.zM >= floorM && to.zM < floorM
    const hole = holes.find(
      ({ panel, alongM, upM }) =>
        panel === 'floor' &&
        Math.hypot(tank.xM + alongM - from.xM, tank.yM + upM - from.yM) < SAME_PLACE_M,
    )
    if (hole && passes(tank.floorHeightM))
      return { pieceId: piece.id, atM: tank.floorHeightM, holeId: hole.id }
    const boxFloorM = tank.floorHeightM + (box?.floorM ?? 0)
    const isOwnBox = form === 'outer-box' || form === 'inner-and-outer' || form === 'hung-box'
    if (box && isOwnBox && passes(boxFloorM))
      return { pieceId: piece.id, atM: boxFloorM, holeId: null }
  }
  return null
}
