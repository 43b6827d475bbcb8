import type { Station } from '@yew-basin/core'

/** What each is called. */
export const STATION_NAMES: Readonly<Record<Station, string>> = {
  tank: 'Tank and target',
  overflow: 'Overflow',
  drains: 'Drains',
  sump: 'Sump',
  return: 'Return',
  skimmer: 'Skimmer and devices',
  sterilizer: 'Sterilizer',
}

/** Stations of the water's path that can be opened, in the order the water passes them. */
export const STATIONS: readonly Station[] = [
  'tank',
  'overflow',
  'drains',
  'sump',
  'return',
  'skimmer',
  'sterilizer',
]
