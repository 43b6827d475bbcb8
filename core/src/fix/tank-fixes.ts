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

/** The overflow's edge lower, or the level that is given where nothing sets it. */
function lowerWater({ tank, index, solved }: TankCase): FindingCandidate[] {
  const { overflow } = tank
  const lowerM = GOOD_FREEBOARD_M - solved.freeboardM
  const crestM = (overflow?.crestM ?? 0) - lowerM
  const levelM = tank.rimM - GOOD_FREEBOARD_M
  if ((overflow ? crestM : levelM) <= 0) return []
  const { label, edits } = overflow
    ? {
        label: sentence('Lower the overflow’s edge by {lower}', { lower: ['length', lowerM] }),
        edits: [setTo(['tanks', index, 'overflow', 'crestM'], crestM)],
      }
    : {
        label: sentence('Run the tank at {level}', { level: ['length', levelM] }),
        edits: [setTo(['tanks', index, 'waterLevelM'], levelM)],
      }
  return [
    {
      label,
      brings: ({ whole }) =>
        sentence('Leaves {left} to the rim.', { left: ['length', whole.tanks[index]!.freeboardM] }),
      edits,
    },
  ]
}
