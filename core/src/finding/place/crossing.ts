import type { DisplayTank } from '../../design/index.ts'
import type { PlacedPiece, Point } from '../../run/index.ts'

/** A panel of a tank that a run passes through. */
export interface Crossing {
  readonly panel: 'floor' | 'left' | 'right' | 'front' | 'back'
  readonly pieceId: string
  readonly at: Point
}

/** Nearer to a panel's edge than this it passes beside it, m. */
const BESIDE_M = 1e-3

/** Where a run goes through a tank's floor or panels; over the top of them it may. */
export function crossingsOf(tank: DisplayTank, placed: readonly PlacedPiece[]): Crossing[] {
  return placed.flatMap(({ piece, from, to }) =>
    panelsOf(tank).flatMap(({ panel, axis, atM }) => {
      const at = pierced(from, to, axis, atM)
      return at && isInPanel(tank, panel, at) ? [{ panel, pieceId: piece.id, at }] : []
    }),
  )
}

type Axis = 'xM' | 'yM' | 'zM'

function panelsOf({ xM, yM, lengthM, widthM, floorHeightM }: DisplayTank) {
  return [
    { panel: 'floor', axis: 'zM', atM: floorHeightM },
    { panel: 'left', axis: 'xM', atM: xM },
    { panel: 'right', axis: 'xM', atM: xM + lengthM },
    { panel: 'front', axis: 'yM', atM: yM },
    { panel: 'back', axis: 'yM', atM: yM + widthM },
  ] as const
}

/** Where a straight piece passes a plane; null: it doesn't. */
function pierced(from: Point, to: Point, axis: Axis, atM: number): Point | null {
  const [a, b] = [from[axis] - atM, to[axis] - atM]
  if (!(a < -BESIDE_M && b > BESIDE_M) && !(a > BESIDE_M && b < -BESIDE_M)) return null
  const share = a / (a - b)
  const between = (of: Axis) => from[of] + share * (to[of] - from[of])
  return { xM: between('xM'), yM: between('yM'), zM: between('zM') }
}

function isInPanel(tank: DisplayTank, panel: Crossing['panel'], { xM, yM, zM }: Point): boolean {
  const within = (at: number, from: number, size: number) =>
    at > from + BESIDE_M && at < from + size - BESIDE_M
  const inX = within(xM, tank.xM, tank.lengthM)
  const inY = within(yM, tank.yM, tank.widthM)
  const inZ = within(zM, tank.floorHeightM, tank.heightM)
  if (panel === 'floor') return inX && inY
  return panel === 'left' || panel === 'right' ? inY && inZ : inX && inZ
}
