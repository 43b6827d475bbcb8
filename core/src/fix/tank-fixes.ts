import { setTo } from '../design/index.ts'
import {
  GOOD_FREEBOARD_M,
  littleFreeboard,
  rimOverPanels,
  type TankCase,
  waterOverRim,
} from '../finding/index.ts'
import { sentence } from '../quantity/index.ts'
import { type FindingCandidate, type FindingFixes, fixesFor } from './finding-fix.ts'
import type { Change } from './lever/change.ts'
import { lowerEdge } from './lever/overflow.ts'

/** What fixes findings about a tank's water, rim and contents. */
export const TANK_FIXES: readonly FindingFixes[] = [
  fixesFor(rimOverPanels, ({ tank, index }) => [
    {
      label: sentence('Set the rim to the panels, {height}', {
        height: ['length', tank.heightM],
      }),
      brings: () => sentence('The tank spills at the top of its panels.'),
      edits: [setTo(['tanks', index, 'rimM'], tank.heightM)],
    },
  ]),
  fixesFor(waterOverRim, lowerWater),
  fixesFor(littleFreeboard, lowerWater),
]

/** The overflow's edge lower, or the level that is given where nothing sets it. */
function lowerWater({ tank, index, whole }: TankCase): FindingCandidate[] {
  const changes = tank.overflow ? lowerEdge(whole, index) : lowerLevel(tank.rimM, index)
  return changes.map(({ label, edits }) => ({
    label,
    brings: (after) =>
      sentence('Leaves {left} to the rim.', {
        left: ['length', after.whole.tanks[index]!.freeboardM],
      }),
    edits,
  }))
}

function lowerLevel(rimM: number, index: number): Change[] {
  const levelM = rimM - GOOD_FREEBOARD_M
  if (levelM <= 0) return []
  return [
    {
      label: sentence('Run the tank at {level}', { level: ['length', levelM] }),
      edits: [setTo(['tanks', index, 'waterLevelM'], levelM)],
    },
  ]
}
