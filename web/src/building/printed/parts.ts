/** What of the sheet can be printed, in the order of the pages. */
export const PARTS = [
  { id: 'summary', label: 'Summary with the section' },
  { id: 'isometrics', label: 'Isometrics' },
  { id: 'list', label: 'To buy' },
  { id: 'cuts', label: 'Cuts' },
  { id: 'order', label: 'Order' },
  { id: 'apart', label: 'Comes apart' },
  { id: 'panels', label: 'Panels' },
  { id: 'water', label: 'Before water' },
  { id: 'holes', label: 'Templates of holes, one to one' },
] as const

/** One of them. */
export type PartId = (typeof PARTS)[number]['id']
