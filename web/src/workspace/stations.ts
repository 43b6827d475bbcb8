import type { Station } from '@yew-basin/core'

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
