import { evaporationHeatW, evaporationOfHeatM3PerS, mmPerDay, type RoomAir } from '../heat/index.ts'
import { memoizeWith } from '../numeric/index.ts'
import type { BasinDesign } from './design.ts'
import type { HeatPlan } from './heat-plan.ts'

/** The room's air at a temperature; null: its humidity is not set. */
export function airAt({ humidity, stirred }: HeatPlan, roomC: number): RoomAir | null {
  return humidity === null ? null : { roomC, humidity, stirred }
}

/** What evaporates, as it was given or by the room's air, mm a day over the open surface; not below zero. */
export function evaporationMmPerDay(design: BasinDesign): number {
  const { heat, water, sump } = design
  return (heat && byAir(heat, water)) ?? sump.evaporationMmPerDay
}

/** At the coldest room, heated, where the most evaporates; null: its humidity is not set. */
const byAir = memoizeWith(
  (heat: HeatPlan, water: BasinDesign['water']) => {
    const air = airAt(heat, heat.coldestRoomC)
    if (!air) return null
    const heatW = evaporationHeatW(1, water, air)
    return Math.max(0, mmPerDay(evaporationOfHeatM3PerS(heatW, water.temperatureC), 1))
  },
  (before, now) => before === now,
)
