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

/** The overflow cut lower, or the level that is given without one. */
function lowerWater({ tank, index, solved }: TankCase): FindingCandidate[] {
  const levelM = tank.rimM - GOOD_FREEBOARD_M
  if (levelM <= 0) return []
  const { overflow } = tank
  return [
    {
      label: sentence('Run the tank at {level}', { level: ['length', levelM] }),
      brings: () => sentence('Leaves {left} to the rim.', { left: ['length', GOOD_FREEBOARD_M] }),
      edits: [
        overflow
          ? setTo(
              ['tanks', index, 'overflow', 'crestM'],
              overflow.crestM - (GOOD_FREEBOARD_M - solved.freeboardM),
            )
          : setTo(['tanks', index, 'waterLevelM'], levelM),
      ],
    },
  ]
}
