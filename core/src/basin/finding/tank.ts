import { sentence } from '../../quantity/sentence.ts'
import type { Edit } from '../edit.ts'
import type { Finding, Solving } from './finding.ts'

/** Below this the ripples of a circulation pump reach the rim (choice). */
const LEAST_FREEBOARD_M = 0.02
/** Freeboard a fix leaves (choice). */
const GOOD_FREEBOARD_M = 0.03

export function tankFindings(solving: Solving): Finding[] {
  return [rimOverPanels(solving), freeboard(solving), netWater(solving)].flat()
}

function rimOverPanels({ design: { tank } }: Solving): Finding[] {
  if (tank.rimM <= tank.heightM) return []
  return [
    {
      code: 'rim-over-panels',
      severity: 'stop',
      stop: 'tank',
      title: sentence('The rim stands above the panels'),
      reason: sentence(
        'Water spills at {rim}, says the rim, but the panels end at {height}. Lower the rim or check the height.',
        { rim: ['length', tank.rimM], height: ['length', tank.heightM] },
      ),
      pieceId: null,
      fixes: [
        {
          label: sentence('Set the rim to the panels, {height}', {
            height: ['length', tank.heightM],
          }),
          brings: sentence('The tank spills at the top of its panels.'),
          edits: [{ op: 'set', path: ['tank', 'rimM'], to: tank.heightM }],
        },
      ],
    },
  ]
}

function freeboard({ design: { tank }, tank: { freeboardM } }: Solving): Finding[] {
  if (freeboardM >= LEAST_FREEBOARD_M) return []
  const over = freeboardM <= 0
  const levelM = tank.rimM - GOOD_FREEBOARD_M
  const lower: Edit = { op: 'set', path: ['tank', 'waterLevelM'], to: levelM }
  return [
    {
      code: over ? 'water-over-rim' : 'little-freeboard',
      severity: over ? 'stop' : 'watch',
      stop: 'tank',
      title: over
        ? sentence('The water stands over the rim')
        : sentence('Only {left} below the rim', { left: ['length', freeboardM] }),
      reason: over
        ? sentence('The level is {over} above the rim, so it is on the floor.', {
            over: ['length', -freeboardM],
          })
        : sentence('Ripples and a surge after a restart reach the rim. Leave {least} or more.', {
            least: ['length', LEAST_FREEBOARD_M],
          }),
      pieceId: null,
      fixes:
        levelM > 0
          ? [
              {
                label: sentence('Run the tank at {level}', { level: ['length', levelM] }),
                brings: sentence('Leaves {left} to the rim.', {
                  left: ['length', GOOD_FREEBOARD_M],
                }),
                edits: [lower],
              },
            ]
          : [],
    },
  ]
}

function netWater({ tank }: Solving): Finding[] {
  if (tank.netVolumeM3 > 0) return []
  return [
    {
      code: 'no-net-water',
      severity: 'stop',
      stop: 'tank',
      title: sentence('Rock and sand fill the whole tank'),
      reason: sentence(
        'They displace {displaced}, and the tank holds {gross} to its level. Check their mass and density.',
        {
          displaced: ['volume', tank.rockVolumeM3 + tank.sandVolumeM3],
          gross: ['volume', tank.grossVolumeM3],
        },
      ),
      pieceId: null,
      fixes: [],
    },
  ]
}
