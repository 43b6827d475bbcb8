import { chamberAreasM2, type SteadyState } from '../../loop/index.ts'
import { isReservoir } from './net-water.ts'

/** Open salt water: tanks, the boxes behind or outside them, and the sump's chambers but the fresh one's, m². */
export function openSurfaceM2(steady: SteadyState): number {
  const { design, given, overflows } = steady
  const tanksM2 = design.tanks.reduce((sum, tank) => sum + tank.lengthM * tank.widthM, 0)
  const boxesM2 = overflows.reduce((sum, overflow) => {
    const own = overflow?.overflow.form === 'inner-box' ? null : overflow?.overflow.box
    return sum + (own ? own.lengthM * own.widthM : 0)
  }, 0)
  const { box } = design.sump
  if (!box) return tanksM2 + boxesM2
  const chambersM2 = chamberAreasM2(given.sump, box).reduce(
    (sum, areaM2, i) => (isReservoir(steady, i) ? sum : sum + areaM2),
    0,
  )
  return tanksM2 + boxesM2 + chambersM2
}
