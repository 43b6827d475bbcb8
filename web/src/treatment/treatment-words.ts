import type {
  DeviceKind,
  FeedForm,
  LoadClass,
  NoiseClass,
  SkimmerForm,
  SkimmerSchool,
  Solved,
} from '@yew-basin/core'

type Choice<T> = readonly { readonly value: T; readonly label: string }[]

export const LOADS: Choice<LoadClass> = [
  { value: 'light', label: 'light: few small fish' },
  { value: 'medium', label: 'medium: a mixed reef' },
  { value: 'heavy', label: 'heavy: many or large fish' },
]

export const LOAD_NAMES: Readonly<Record<LoadClass, string>> = {
  light: 'light',
  medium: 'medium',
  heavy: 'heavy',
}

export const FEED_FORM_CHOICES: Choice<FeedForm> = [
  { value: 'cube', label: 'frozen, by the cube' },
  { value: 'dry', label: 'dry, by the pinch' },
  { value: 'sheet', label: 'seaweed, by the sheet' },
]

export const SCHOOLS: readonly {
  readonly value: SkimmerSchool
  readonly label: string
  readonly why: string
}[] = [
  {
    value: 'match',
    label: 'Match the load',
    why: 'A skimmer that has enough to do holds a steady head of foam.',
  },
  {
    value: 'oversize',
    label: 'Oversize',
    why: 'What its box says is for little fish and new water: leave room.',
  },
]

export const NOISES: Choice<NoiseClass> = [
  { value: 'silent', label: 'not heard' },
  { value: 'heard-near', label: 'heard beside the tank' },
  { value: 'heard-across', label: 'heard across the room' },
]

export const NOISE_NAMES = Object.fromEntries(
  NOISES.map(({ value, label }) => [value, label]),
) as Readonly<Record<NoiseClass, string>>

export const SKIMMER_FORM_CHOICES: Choice<SkimmerForm> = [
  { value: 'internal', label: 'in the water' },
  { value: 'external', label: 'beside the sump' },
  { value: 'hung', label: 'hung on its rim' },
]

export const KIND_NAMES: Readonly<Record<DeviceKind, string>> = {
  skimmer: 'Skimmer',
  sterilizer: 'Sterilizer',
  heater: 'Heater',
  chiller: 'Chiller',
  reactor: 'Reactor',
  scrubber: 'Scrubber',
  'flow-meter': 'Flow meter',
}

/** How a skimmer's rating stands to what a school wants. */
export const SIZE_SAYS: Readonly<Record<Solved<'skimmer'>['inForce']['says'], string>> = {
  small: 'too small',
  'borderline-small': 'on the small side',
  fits: 'fits',
  'borderline-large': 'on the large side',
  large: 'too large',
}

/** The end of the feeding at which it is so. */
export const TIPS = {
  least: ', fed least',
  most: ', fed most',
  no: '',
} as const
