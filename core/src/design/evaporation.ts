import { evaporationHeatW, evaporationOfHeatM3PerS, mmPerDay, type RoomAir } from '../heat/index.ts'
import { memoizeWith } from '../numeric/index.ts'
import type { BasinDesign } from './design.ts'
import type { HeatPlan } from './heat-plan.ts'

/** The room's air at the coldest, where a heater works hardest and most evaporates; null: its humidity is not set. */
export function airAt(heat: HeatPlan | null, roomC: number): RoomAir | null {
  if (!heat || heat.humidity === null) return null
  return { roomC, humidity: heat.humidity, stirred: heat.stirred }
}

/** What evaporates, as it was given or by the room's air, mm a day over the open surface; not below zero. */
export function evaporationMmPerDay(design: BasinDesign): number {
  const { heat, water, sump } = design
  if (!heat || heat.humidity === null) return sump.evaporationMmPerDay
  return byAir(heat, water)
}

/** At the coldest room: heated, it is the driest, so the top-off has most to do. */
const byAir = memoizeWith(
  (heat: HeatPlan, water: BasinDesign['water']) => {
    const air = airAt(heat, heat.coldestRoomC)!
    const heatW = evaporationHeatW(1, water, air)
    return Math.max(0, mmPerDay(evaporationOfHeatM3PerS(heatW, water.temperatureC), 1))
  },
  (before, now) => before === now,
)
