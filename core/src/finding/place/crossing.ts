import { memoizeWith } from '../../numeric/index.ts'
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

/** Where a run goes through the floors or panels of tanks, tank by tank; over the top of them it may. No level moves them: a run is looked at once. */
export const crossingsOf = memoizeWith(
  (placed: readonly PlacedPiece[], tanks: readonly DisplayTank[]): readonly Crossing[][] =>
    tanks.map((tank) => crossingsOfTank(tank, placed)),
  (before, now) =>
    before.length === now.length && before.every((tank, i) => standsAlike(tank, now[i]!)),
)

/** Do two stand in one place, with panels of the same sizes? */
function standsAlike(a: DisplayTank, b: DisplayTank): boolean {
  return (
    a.xM === b.xM &&
    a.yM === b.yM &&
    a.lengthM === b.lengthM &&
    a.widthM === b.widthM &&
    a.heightM === b.heightM &&
    a.floorHeightM === b.floorHeightM
  )
}

function crossingsOfTank(tank: DisplayTank, placed: readonly PlacedPiece[]): Crossing[] {
  const panels = panelsOf(tank)
  return placed.flatMap(({ piece, from, to }) =>
    panels.flatMap(({ panel, axis, atM }) => {
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
