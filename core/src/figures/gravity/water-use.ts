import { evaporationMmPerDay, type SumpBox } from '../../design/index.ts'
import { freshDensityKgPerM3, waterAt } from '../../fluid/index.ts'
import type { LaidPump } from '../../layout/index.ts'
import type { SteadyState } from '../../loop/index.ts'
import {
  evaporationM3PerS,
  reservoirLastsS,
  salinityAfterTopOff,
  timeToFallS,
} from '../../sump/index.ts'
import { isReservoir, netWater } from './net-water.ts'
import { openSurfaceM2 } from './open-surface.ts'
import type { SolvedWaterUse } from './solved-gravity.ts'

/** What evaporation and the top-off do. */
export function solveWaterUse(
  steady: SteadyState,
  box: SumpBox,
  areas: readonly number[],
): SolvedWaterUse {
  const { design, chambers, returnIndex } = steady
  const holdsFresh = (i: number) => isReservoir(steady, i)
  const loss = evaporationM3PerS(evaporationMmPerDay(design), openSurfaceM2(steady))
  const reservoirM3 = areas.reduce(
    (sum, area, i) =>
      holdsFresh(i) ? sum + area * Math.max(0, chambers[i]!.levelM - box.floorHeightM) : sum,
    0,
  )
  const dries = loss > 0
  const has = areas.some((_, i) => holdsFresh(i))
  const leastM = leastLevelM(steady)
  return {
    evaporationM3PerS: loss,
    untilAirS:
      leastM === null || !dries
        ? null
        : timeToFallS(
            { areaM2: areas[returnIndex]!, fromM: chambers[returnIndex]!.levelM, toM: leastM },
            loss,
          ),
    reservoirS: has && dries ? reservoirLastsS(reservoirM3, loss) : null,
    salinityAfterPpt: has ? freshened(steady, reservoirM3) : null,
  }
}

/** Level at which a pump draws air for certain; null: its inlet's height is not set. */
export function drawsAirBelowM({ placed, part }: LaidPump): number | null {
  if (placed.inletHeightM === null) return null
  return placed.inletHeightM + (part.leastDepthM ?? part.inletBoreM ?? part.outletBoreM)
}

/**
 * Level at which the first pump of the return chamber draws air for certain: its maker's least
 * water over the inlet, else one bore of it. A vortex may draw some sooner: that is said apart.
 */
function leastLevelM({ design, layout, returnIndex }: SteadyState): number | null {
  const { id } = design.sump.chambers[returnIndex]!
  const levels = layout.pumps
    .filter(({ placed }) => placed.chamberId === id)
    .map(drawsAirBelowM)
    .filter((level) => level !== null)
  return levels.length > 0 ? Math.max(...levels) : null
}

function freshened(steady: SteadyState, freshM3: number): number {
  const { water } = steady.design
  const { displayM3, sumpM3 } = netWater(steady)
  const { salinityPpt, temperatureC } = water
  return salinityAfterTopOff(
    { salinityPpt, volumeM3: displayM3 + sumpM3 },
    waterAt(water).densityKgPerM3,
    freshM3 * freshDensityKgPerM3(temperatureC),
  )
}
