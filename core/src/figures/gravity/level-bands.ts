import type { Overflowing, SteadyState, TankLevels } from '../../loop/index.ts'
import { rootSumSquare } from '../../numeric/index.ts'
import { OPEN_PIPE_SPREAD, rimSpread } from '../../weir/index.ts'

/** A rim's flow goes with the head to the power of 3/2, an orifice's with its root. */
const RIM_POWER = 2 / 3
const ORIFICE_POWER = 2
/** A mouth's rim rules up to so many bores over it. */
const RIM_RULES_TO_BORES = 3 / 8

/** How far the water over a rim may stand from where it is computed, with a flow known to a share, m. */
export function rimLevelBandM(headM: number, flowShare: number): number {
  return headM > 0 ? RIM_POWER * headM * rootSumSquare(rimSpread(headM), flowShare) : 0
}

/** How far the water over an open pipe's mouth may be off, its flow known to a share, m: by its rim's law, else its orifice's. */
export function openRiseBandM(boreM: number, riseM: number, flowShare: number): number {
  return (riseM > RIM_RULES_TO_BORES * boreM ? ORIFICE_POWER : RIM_POWER) * riseM * flowShare
}

/** The same for a tank and its box, whichever of the two holds the water up: the larger. */
export function levelBandsM(
  { tank, overflow, drains }: Overflowing,
  { surfaceM, boxM }: TankLevels,
  flowShare: number,
): { readonly surfaceM: number; readonly boxM: number } {
  const crestM = tank.floorHeightM + overflow.crestM
  const rimBandM = rimLevelBandM(surfaceM - crestM, flowShare)
  const ruling = drains.reduce<(typeof drains)[number] | null>(
    (highest, laid) =>
      boxM !== null && laid.lipM < boxM && (!highest || laid.lipM > highest.lipM) ? laid : highest,
    null,
  )
  if (boxM === null || !ruling) return { surfaceM: rimBandM, boxM: 0 }
  // The highest mouth under water is the one that settles the level; the rest run full.
  const riseM = boxM - ruling.lipM
  const boxBandM = openRiseBandM(ruling.boreM, riseM, rootSumSquare(OPEN_PIPE_SPREAD, flowShare))
  return { surfaceM: boxM > crestM ? Math.max(rimBandM, boxBandM) : rimBandM, boxM: boxBandM }
}

/** How far what comes down in a power cut may be off, m³: what stands over the rims. */
export function aboveRimBandM3(
  { design, tankLevels }: SteadyState,
  shareOf: (tankId: string) => number,
): number {
  let squares = 0
  design.tanks.forEach((tank, i) => {
    const level = tankLevels[i]
    if (!level) return
    squares += (tank.lengthM * tank.widthM * rimLevelBandM(level.headM, shareOf(tank.id))) ** 2
  })
  return Math.sqrt(squares)
}

/**
 * The same for each chamber of a sump. The return chamber stands where the keeper fills it; outward
 * from there each stands over its wall, or, where water goes through a wall, as the next one does.
 */
export function chamberBandsM(
  { design, chambers, returnIndex }: SteadyState,
  floorHeightM: number,
  flowShare: number,
): number[] {
  const { walls } = design.sump
  const bands = chambers.map(() => 0)
  const outward = (i: number, next: number, wall: (typeof walls)[number] | undefined) => {
    const overTop = wall?.kind === 'over' || wall?.kind === 'comb' || wall?.kind === 'pipe'
    const headM = chambers[i]!.levelM - floorHeightM - (wall?.topM ?? 0)
    const own = overTop && chambers[i]!.throughM3PerS > 0 ? rimLevelBandM(headM, flowShare) : 0
    const drowned = !overTop || chambers[next]!.levelM > floorHeightM + (wall?.topM ?? 0)
    bands[i] = chambers[i]!.apart ? 0 : rootSumSquare(own, drowned ? bands[next]! : 0)
  }
  for (let i = returnIndex - 1; i >= 0; i--) outward(i, i + 1, walls[i])
  for (let i = returnIndex + 1; i < chambers.length; i++) outward(i, i - 1, walls[i - 1])
  return bands
}
