import { LIMITS } from './limits.ts'
import { Within } from './rules.ts'

/** What the keeper measures of the water. */
export class WaterDocument {
  @Within(LIMITS.salinity, 'Salinity, ppt.')
  salinityPpt!: number

  @Within(LIMITS.temperature, 'Temperature, °C.')
  temperatureC!: number
}
