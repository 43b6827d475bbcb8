import type { DisplayTank, Edit } from '../design/index.ts'
import type { SolvedTank } from '../figures/index.ts'
import { gather } from '../numeric/index.ts'
import { sentence } from '../quantity/index.ts'
import { aboutStop, type Finding, type Solving } from './finding.ts'

/** Below this the ripples of a circulation pump reach the rim (choice). */
const LEAST_FREEBOARD_M = 0.02
/** Freeboard a fix leaves (choice). */
const GOOD_FREEBOARD_M = 0.03

/** One tank of the design, by its place in the list. */
interface TankCase {
  readonly index: number
  readonly tank: DisplayTank
  readonly solved: SolvedTank
  /** "Lower tank: " where there are several. */
  readonly words: string
}

export function tankFindings({ design, tanks }: Solving): Finding[] {
  return gather(design.tanks, (tank, index) => {
    const words = design.tanks.length > 1 ? `${tank.name}: ` : ''
    const one: TankCase = { index, tank, solved: tanks[index]!, words }
    return [...rimOverPanels(one), ...freeboard(one), ...netWater(one)]
  })
}

function rimOverPanels({ tank, index, words }: TankCase): Finding[] {
  if (tank.rimM <= tank.heightM) return []
  return [
    aboutStop('tank', {
      code: 'rim-over-panels',
      severity: 'stop',
      title: sentence(`${words}The rim stands above the panels`),
      reason: sentence(
        'Water spills at {rim}, says the rim, but the panels end at {height}. Lower the rim or check the height.',
        { rim: ['length', tank.rimM], height: ['length', tank.heightM] },
      ),
      tankId: tank.id,
      fixes: () => [
        {
          label: sentence('Set the rim to the panels, {height}', {
            height: ['length', tank.heightM],
          }),
          brings: sentence('The tank spills at the top of its panels.'),
          edits: [{ op: 'set', path: ['tanks', index, 'rimM'], to: tank.heightM }],
        },
      ],
    }),
  ]
}

function freeboard({ tank, index, words, solved: { freeboardM } }: TankCase): Finding[] {
  if (freeboardM >= LEAST_FREEBOARD_M) return []
  const over = freeboardM <= 0
  const levelM = tank.rimM - GOOD_FREEBOARD_M
  const lower: Edit = tank.overflow
    ? {
        op: 'set',
        path: ['tanks', index, 'overflow', 'crestM'],
        to: tank.overflow.crestM - (GOOD_FREEBOARD_M - freeboardM),
      }
    : { op: 'set', path: ['tanks', index, 'waterLevelM'], to: levelM }
  return [
    aboutStop('tank', {
      code: over ? 'water-over-rim' : 'little-freeboard',
      severity: over ? 'stop' : 'watch',
      title: over
        ? sentence(`${words}The water stands over the rim`)
        : sentence(`${words}Only {left} below the rim`, { left: ['length', freeboardM] }),
      reason: over
        ? sentence('The level is {over} above the rim, so it is on the floor.', {
            over: ['length', -freeboardM],
          })
        : sentence('Ripples and a surge after a restart reach the rim. Leave {least} or more.', {
            least: ['length', LEAST_FREEBOARD_M],
          }),
      tankId: tank.id,
      fixes: () =>
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
    }),
  ]
}

function netWater({ solved: tank, words }: TankCase): Finding[] {
  if (tank.netVolumeM3 > 0) return []
  return [
    aboutStop('tank', {
      code: 'no-net-water',
      severity: 'stop',
      title: sentence(`${words}Rock and sand fill the whole tank`),
      reason: sentence(
        'They displace {displaced}, and the tank holds {gross} to its level. Check their mass and density.',
        {
          displaced: ['volume', tank.rockVolumeM3 + tank.sandVolumeM3],
          gross: ['volume', tank.grossVolumeM3],
        },
      ),
      tankId: tank.tankId,
    }),
  ]
}
