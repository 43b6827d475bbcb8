import type { ChamberUse, WallKind } from '@yew-basin/core'

export const USES: readonly { readonly value: ChamberUse; readonly label: string }[] = [
  { value: 'drain-entry', label: 'drains come in' },
  { value: 'socks', label: 'socks' },
  { value: 'roller', label: 'roller' },
  { value: 'skimmer', label: 'skimmer' },
  { value: 'rock', label: 'live rock' },
  { value: 'refugium', label: 'refugium' },
  { value: 'media', label: 'media' },
  { value: 'trap', label: 'bubble trap' },
  { value: 'return', label: 'return' },
  { value: 'reservoir', label: 'top-off reservoir' },
  { value: 'other', label: 'something else' },
]

export const WALLS: readonly { readonly value: WallKind; readonly label: string }[] = [
  { value: 'over', label: 'over its top' },
  { value: 'under', label: 'under it' },
  { value: 'comb', label: 'through a tooth comb' },
  { value: 'pipe', label: 'through a pipe' },
  { value: 'solid', label: 'not at all' },
]

/** Layouts to begin with and to compare. */
export interface LayoutChoice {
  readonly id: string
  readonly label: string
  readonly uses: readonly ChamberUse[]
}

export const LAYOUTS: readonly LayoutChoice[] = [
  { id: 'open', label: 'Open, no walls', uses: ['return'] },
  { id: 'two', label: 'Two: socks, return', uses: ['socks', 'return'] },
  {
    id: 'three',
    label: 'Three: skimmer with the drains, refugium, return',
    uses: ['skimmer', 'refugium', 'trap', 'trap', 'return'],
  },
  {
    id: 'four',
    label: 'Four: socks, skimmer, refugium, return',
    uses: ['socks', 'skimmer', 'refugium', 'trap', 'trap', 'return'],
  },
  {
    id: 'four-reservoir',
    label: 'Four with a top-off reservoir',
    uses: ['socks', 'skimmer', 'refugium', 'trap', 'trap', 'return', 'reservoir'],
  },
]
