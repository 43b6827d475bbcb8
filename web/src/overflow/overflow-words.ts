import type { DrilledPanel, OverflowForm, OverflowPlace, PanelGlass } from '@yew-basin/core'

interface FormWords {
  readonly value: OverflowForm
  readonly label: string
  /** What is won and what is paid, in a sentence. */
  readonly trade: string
}

export const FORMS: readonly FormWords[] = [
  {
    value: 'inner-box',
    label: 'Box inside the tank',
    trade: 'Holes in the floor and a long rim; it takes room where fish could swim.',
  },
  {
    value: 'outer-box',
    label: 'Box outside, through a notch',
    trade: 'Nothing in the tank but the notch; the tank stands off the wall.',
  },
  {
    value: 'inner-and-outer',
    label: 'Slim box inside, box outside',
    trade: 'Two or more holes join a slim skimming box to a roomy one behind.',
  },
  {
    value: 'hung-box',
    label: 'Siphon box hung over the rim',
    trade: 'No hole at all; it rests on a siphon that must keep its prime.',
  },
  {
    value: 'rear-chambers',
    label: 'Chambers behind the wall',
    trade: 'The all-in-one’s own: no drains, and little water to spare.',
  },
]

export const PLACES: readonly { readonly value: OverflowPlace; readonly label: string }[] = [
  { value: 'back', label: 'back' },
  { value: 'left', label: 'left end' },
  { value: 'right', label: 'right end' },
  { value: 'corner', label: 'corner' },
  { value: 'centre', label: 'centre' },
]

export const PANELS: readonly { readonly value: DrilledPanel; readonly label: string }[] = [
  { value: 'floor', label: 'floor' },
  { value: 'back', label: 'back' },
  { value: 'left', label: 'left end' },
  { value: 'right', label: 'right end' },
]

export const GLASS: readonly { readonly value: PanelGlass; readonly label: string }[] = [
  { value: 'plain', label: 'plain glass' },
  { value: 'tempered', label: 'tempered glass' },
  { value: 'acrylic', label: 'acrylic' },
]
