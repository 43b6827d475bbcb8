import { chamberSpans, type DisplayTank, type HeatPlan, type Sump } from '../../design/index.ts'
import type { Surfaces } from '../../heat/index.ts'
import { isReservoir } from '../gravity/net-water.ts'
import type { SteadyState } from '../../loop/index.ts'
import { openSurfaceM2 } from '../gravity/open-surface.ts'

/** Everything warm water touches, as it runs: four sides and the floor of tanks and sump, and what is open. */
export function surfacesOf(steady: SteadyState, heat: HeatPlan): Surfaces {
  const tanksM2 = steady.design.tanks.reduce((sum, tank) => sum + wettedM2(tank), 0)
  const sumpM2 = wettedSumpM2(steady)
  const of = (kind: HeatPlan['tankPanels']) =>
    (heat.tankPanels === kind ? tanksM2 : 0) + (heat.sumpPanels === kind ? sumpM2 : 0)
  return {
    glassM2: of('glass'),
    acrylicM2: of('thick-acrylic'),
    openM2: openSurfaceM2(steady),
  }
}

/** An all-in-one's back is its chambers' front: water on both sides of it. */
const isShared = ({ overflow }: Pick<DisplayTank, 'overflow'>) => overflow?.form === 'rear-chambers'

function wettedM2(tank: DisplayTank): number {
  const { lengthM, widthM, waterLevelM } = tank
  const longSides = isShared(tank) ? 1 : 2
  return (longSides * lengthM + 2 * widthM) * waterLevelM + lengthM * widthM
}

function wettedSumpM2(steady: SteadyState): number {
  const { design, chambers } = steady
  const { sump, tanks } = design
  const { box } = sump
  if (!box) return 0
  const longSides = tanks.some(isShared) ? 1 : 2
  return chamberSpans(steady.given.sump, box.lengthM).reduce((sum, { fromM, toM }, i) => {
    if (isReservoir(steady, i)) return sum
    const depthM = Math.max(0, chambers[i]!.levelM - box.floorHeightM)
    const ends = endsOf(sump, i) * box.widthM
    return sum + (longSides * (toM - fromM) + ends) * depthM + (toM - fromM) * box.widthM
  }, 0)
}

/** The sump's own ends that a chamber touches. */
function endsOf({ chambers }: Sump, index: number): number {
  return (index === 0 ? 1 : 0) + (index === chambers.length - 1 ? 1 : 0)
}
