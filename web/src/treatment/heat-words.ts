import type { HeatPlan, Solved } from '@yew-basin/core'

const HOUR_S = 3600

/** What a room is taken to be until the keeper says otherwise. */
export const USUAL_ROOM: HeatPlan = {
  coldestRoomC: 18,
  warmestRoomC: 26,
  humidity: null,
  stirred: 1,
  tankPanels: 'glass',
  sumpPanels: 'glass',
  lightsW: 0,
  lightHoursPerDay: 10,
  chillerW: null,
  warningS: 8 * HOUR_S,
}

/** Of a heated room in winter. */
export const USUAL_HUMIDITY = 0.45

export const PANEL_CHOICES: readonly {
  readonly value: HeatPlan['tankPanels']
  readonly label: string
}[] = [
  { value: 'glass', label: 'glass' },
  { value: 'thick-acrylic', label: 'thick acrylic' },
]

export const PLUGGED_IN: Readonly<Record<Solved<'power'>['shares'][number]['of'], string>> = {
  return: 'Return pumps',
  circulation: 'Circulation pumps',
  devices: 'Skimmer, lamps, other devices',
  lights: 'Lights, over the day',
  warmth: 'Heaters and chiller, over the year',
}
