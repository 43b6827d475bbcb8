import { type Edit, setTo } from '../design/index.ts'
import type { SteadyState } from '../loop/index.ts'
import { upToMillimetre } from '../quantity/index.ts'

/** A sensor stands so far over the running water, m (choice). */
const OVER_WATER_M = 0.01

/** A level sensor where the water of a tank's overflow runs, that stops the pump; none where one is, or no overflow. */
export function sensorEdits({ design, tankLevels }: SteadyState, tankIndex: number): Edit[] {
  const { overflow, floorHeightM } = design.tanks[tankIndex]!
  const levels = tankLevels[tankIndex]
  if (!overflow || overflow.sensorM !== null || !levels) return []
  const atM = (levels.boxM ?? levels.surfaceM) + OVER_WATER_M - floorHeightM
  return [setTo(['tanks', tankIndex, 'overflow', 'sensorM'], upToMillimetre(atM))]
}
