import { joined, measured, show, showBand, showText } from './format.ts'
import type { QuantityName, UnitFamily } from './units.ts'

/** What stands in a sentence's braces: a quantity in SI, perhaps with its band, words as they are, or a sentence with values of its own. */
export type SentenceValue =
  readonly [QuantityName, number] | readonly [QuantityName, number, number] | string | Sentence

/** Words with quantities and names in them, so that one text can be read in either unit family. */
export interface Sentence {
  /** "{flow} reaches {tank}" */
  readonly text: string
  /** A name that a keeper typed is a value, never part of the text. */
  readonly values: Readonly<Record<string, SentenceValue>>
}

const NO_VALUES: Sentence['values'] = {}

/**
 * sentence('{flow} reaches {tank}', { flow: ['flow', 0.0008], tank: tank.name }). Holds what it is
 * given: dozens are made at every keystroke, and few are read.
 */
export function sentence(text: string, values: Sentence['values'] = NO_VALUES): Sentence {
  return { text, values }
}

/** A sentence as it is read. What a name holds is printed as it is: braces in it mean nothing. */
export function say({ text, values }: Sentence, family: UnitFamily): string {
  return text.replace(/\{(\w+)\}/g, (whole, name: string) =>
    Object.hasOwn(values, name) ? sayValue(values[name]!, family) : whole,
  )
}

function sayValue(value: SentenceValue, family: UnitFamily): string {
  if (typeof value === 'string') return value
  if ('text' in value) return say(value, family)
  const [quantity, si, bandSi] = value
  if (!bandSi) return showText(measured(quantity, si), family)
  const { number, unit } = show(measured(quantity, si, bandSi), family)
  const band = showBand(measured(quantity, si), bandSi, family).number
  return joined(`${number} ± ${band}`, unit)
}
