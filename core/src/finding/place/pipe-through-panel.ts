import { type DisplayTank, type DrilledPanel, isInPlan } from '../../design/index.ts'
import { flatMap } from '../../numeric/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { LineAsDrawn } from '../case/line-as-drawn.ts'
import { type LineCase, lineWords } from '../case/line-case.ts'
import { drawnRule } from '../drawn-rule.ts'
import { type Crossing, crossingsOf } from './crossing.ts'

/** A hole's middle this near to a run is the run's, m (choice). */
const AT_HOLE_M = 0.03

/** A return line goes over a tank's rim, or through a hole that is drilled for it. */
export const pipeThroughPanel = drawnRule({
  code: 'pipe-through-panel',
  station: 'return',
  severities: ['stop'],
  holds: 'A line runs through a tank’s floor or panel where no hole is.',
  condition: ({ placed, tanks }: LineAsDrawn) =>
    flatMap(crossingsOf(placed, tanks), (crossings, i) => {
      const tank = tanks[i]!
      const crossing = crossings.find((found) => !hasHole(tank, found))
      return crossing ? [{ tank, crossing }] : []
    }),
  title: (line: LineCase, { tank, crossing: { panel } }) =>
    sentence('{where}The run goes through {tank}: its {panel}', {
      where: lineWords(line),
      tank: tank.name,
      panel: panel === 'floor' ? 'floor' : `${panel} panel`,
    }),
  reason: (_, { tank, crossing: { at } }) =>
    sentence(
      'It meets it {x} from its left, {y} from its front and {z} over its floor, where no hole is. Lead it over the rim, or say where it is drilled.',
      {
        x: ['length', at.xM - tank.xM],
        y: ['length', at.yM - tank.yM],
        z: ['length', at.zM - tank.floorHeightM],
      },
    ),
  where: (_, { crossing }) => ({ pieceId: crossing.pieceId }),
})

/** A hole of that panel, or the box over the floor, through which it may come. */
function hasHole(tank: DisplayTank, { panel, at }: Crossing): boolean {
  const { overflow } = tank
  if (!overflow) return false
  const { box, form } = overflow
  if (panel === 'floor' && form === 'inner-box' && box && isInPlan(box, at)) return true
  return overflow.holes.some((hole) => {
    if (hole.panel !== (panel as DrilledPanel)) return false
    const sideways = panel === 'left' || panel === 'right'
    const alongM = sideways ? at.yM - tank.yM : at.xM - tank.xM
    const upM = panel === 'floor' ? at.yM - tank.yM : at.zM - tank.floorHeightM
    return Math.hypot(alongM - hole.alongM, upM - hole.upM) <= AT_HOLE_M
  })
}
