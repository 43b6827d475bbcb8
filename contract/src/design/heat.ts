import type { HeatPlan } from '@yew-basin/core'
import { LIMITS } from './limits.ts'
import { ByRule, OneOf, Within, WithinOrNull } from './rules.ts'

const PANEL_KINDS = ['glass', 'thick-acrylic'] as const satisfies readonly HeatPlan['tankPanels'][]

/** The room round the water, and what the keeper wants of its warmth. */
export class HeatDocument implements HeatPlan {
  @Within(LIMITS.roomTemperature, 'The room at its coldest, °C.')
  coldestRoomC!: number

  @Within(LIMITS.roomTemperature, 'The room at its warmest, °C.')
  @ByRule('a range', (warmest, owner) =>
    (warmest as number) >= (owner as HeatDocument).coldestRoomC
      ? null
      : 'must be no colder than the coldest',
  )
  warmestRoomC!: number

  @WithinOrNull(
    LIMITS.humidity,
    'Relative humidity of its air; else evaporation is as it is given.',
  )
  humidity!: number | null

  @Within(LIMITS.stirred, 'The surface: 0.5 still to 1 rippled.')
  stirred!: number

  @OneOf(PANEL_KINDS, 'Of the tanks; thin acrylic counts as glass.')
  tankPanels!: HeatPlan['tankPanels']

  @OneOf(PANEL_KINDS, 'Of the sump; thin acrylic counts as glass.')
  sumpPanels!: HeatPlan['sumpPanels']

  @Within(LIMITS.lights, 'Power of all lights over the tanks, W.')
  lightsW!: number

  @Within(LIMITS.hoursPerDay, 'Hours a day they are lit.')
  lightHoursPerDay!: number

  @WithinOrNull(LIMITS.chiller, 'Heat that the chiller takes out of the water, W.')
  chillerW!: number | null

  @Within(LIMITS.warning, 'Least time wanted until a heater stuck on has the water too warm, s.')
  warningS!: number
}
