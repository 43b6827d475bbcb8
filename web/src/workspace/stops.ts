/** Stops of the water's path that can be opened, in the order the water passes them. */
export const STOPS = [
  'tank',
  'overflow',
  'drains',
  'sump',
  'return',
  'skimmer',
  'sterilizer',
] as const

export type StopName = (typeof STOPS)[number]
