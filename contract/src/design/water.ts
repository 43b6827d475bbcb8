import type { Target, WaterReading } from '@yew-basin/core'
import { LIMITS } from './limits.ts'
import { Within } from './rules.ts'

/** What the keeper measures of the water. */
export class WaterDocument implements WaterReading {
  @Within(LIMITS.salinity, 'Salinity, ppt.')
  salinityPpt!: number

  @Within(LIMITS.temperature, 'Temperature, °C.')
  temperatureC!: number
}

/** What the keeper wants of the loop. */
export class TargetDocument implements Target {
  @Within(LIMITS.turnover, 'Wanted net display volumes through the sump, per hour.')
  turnoverPerH!: number
}
