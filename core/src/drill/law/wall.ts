import { wallFlow, type WallShape } from '../../sump/index.ts'
import { Between, bothWays } from '../rates.ts'

/** Water past a wall of the sump, whichever way. */
export function pastWall(
  left: number,
  right: number,
  wall: WallShape,
  { widthM, floorM }: { widthM: number; floorM: number },
): Between {
  const down = (highM: number, lowM: number) =>
    wallFlow(wall, widthM, highM - floorM, lowM - floorM)
  return new Between(left, right, bothWays(down))
}
