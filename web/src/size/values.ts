import type { Values } from '@yew-basin/core'

/** What a keeper may value, in the order it is asked. */
export const VALUES: readonly { readonly name: keyof Values; readonly label: string }[] = [
  { name: 'quiet', label: 'Quiet' },
  { name: 'power', label: 'Little power' },
  { name: 'price', label: 'Low price class' },
  { name: 'reserve', label: 'Room for fouling' },
  { name: 'fewSizes', label: 'Few sizes of pipe' },
]

export const WORTH = ['not at all', 'a little', 'much', 'very much'] as const

export const START_VALUES: Values = { quiet: 2, power: 2, price: 1, reserve: 2, fewSizes: 1 }
