import type { BasinDesign, SolvedBasin, Solved } from '@yew-basin/core'
import { CHAMBER_REACH_M, drawsFromBehind, SUMP_REACH_M, type Scale } from './scale.ts'

/** The water a pump draws from, as far as it is known; in an all-in-one it stands behind the tank. */
export function drawnSump(design: BasinDesign, pumpIndex: number, scale: Scale) {
  const { outlet, chamberId } = design.returnSide.pumps[pumpIndex]!
  const { levelM, name } = design.sump.chambers.find(({ id }) => id === chamberId)!
  const behind = drawsFromBehind(design, pumpIndex)
  const tank = design.tanks[0]!
  return {
    behind,
    name,
    levelM,
    left: scale.x(behind ? tank.xM : outlet.xM - SUMP_REACH_M),
    right: scale.x(behind ? tank.xM + tank.lengthM : outlet.xM + SUMP_REACH_M),
    level: scale.y(levelM),
    bottom: scale.y(Math.min(outlet.zM - 0.12, levelM - 0.05)),
  }
}

/** The water of the chambers that lines end in, drawn as far as it is known: round their ends. */
export function drawnChambers(design: BasinDesign, lines: readonly Solved<'line'>[], scale: Scale) {
  return lines.flatMap((line, i) => {
    const { end, id } = design.returnSide.lines[i]!
    if (end.at !== 'chamber') return []
    const chamber = design.sump.chambers.find((sumpChamber) => sumpChamber.id === end.id)!
    const { xM } = line.mouth
    return [
      {
        id,
        name: chamber.name,
        flowM3PerS: line.flowM3PerS,
        left: scale.x(xM - CHAMBER_REACH_M),
        right: scale.x(xM + CHAMBER_REACH_M),
        level: scale.y(chamber.levelM),
        bottom: scale.y(chamber.levelM - 0.12),
      },
    ]
  })
}

/** The jet from an end in air: down to the water under it, or to the floor where there is none. */
export function fallingWater(
  design: BasinDesign,
  { tanks }: SolvedBasin,
  line: Solved<'line'>,
  scale: Scale,
): { id: string; d: string }[] {
  const air = line.end === 'above-water' || line.end === 'outside-tank'
  if (line.flowM3PerS <= 0 || !air) return []
  const { end } = design.returnSide.lines.find(({ id }) => id === line.lineId)!
  const tank = tanks.find(({ tankId }) => tankId === end.id)
  const chamber = design.sump.chambers.find(({ id }) => id === end.id)
  const to = line.end === 'above-water' ? (tank?.surfaceM ?? chamber?.levelM ?? 0) : 0
  const { xM, zM } = line.mouth
  return [{ id: line.lineId, d: `M${scale.x(xM)} ${scale.y(zM) + 4} V${scale.y(to)}` }]
}

/** Shares of a water's width at which a level mark may stand. */
const MARK_SHARES = [0.3, 0.55, 0.08, 0.72]
const MARK_TEXT_PX = 130

/** Where a level mark and its text hit none of the things that cross the water. */
export function levelMarkX(left: number, right: number, crossing: readonly number[]): number {
  const at = (share: number) => left + (right - left) * share
  const free = MARK_SHARES.find((share) =>
    crossing.every((x) => x < at(share) - 24 || x > at(share) + MARK_TEXT_PX),
  )
  return at(free ?? MARK_SHARES[0]!)
}
