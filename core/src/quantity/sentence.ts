import { measured, type Measured, showText } from './format.ts'
import type { QuantityName, UnitFamily } from './units.ts'

/** Words with quantities and names in them, so that one text can be read in either unit family. */
export interface Sentence {
  /** "{flow} reaches {tank}" */
  readonly text: string
  /** What stands in its braces: a quantity, or words of their own, as a name that a keeper typed is. */
  readonly values: Readonly<Record<string, Measured | Sentence>>
}

/** A value as it is given: a quantity in SI, words as they are, or a sentence with values of its own. */
export type SentenceValue = readonly [QuantityName, number] | string | Sentence

/** sentence('{flow} reaches {tank}', { flow: ['flow', 0.0008], tank: tank.name }) */
export function sentence(
  text: string,
  values: Readonly<Record<string, SentenceValue>> = {},
): Sentence {
  // A copy to be written over: adding name after name to an empty one costs several times as much.
  const held: Record<string, SentenceValue | Measured> = { ...values }
  for (const name in values) held[name] = valueOf(values[name]!)
  return { text, values: held as Record<string, Measured | Sentence> }
}

const NO_VALUES: Sentence['values'] = {}

function valueOf(value: SentenceValue): Measured | Sentence {
  if (typeof value === 'string') return { text: value, values: NO_VALUES }
  return 'text' in value ? value : measured(value[0], value[1])
}

/** A sentence as it is read. What a name holds is printed as it is: braces in it mean nothing. */
export function say({ text, values }: Sentence, family: UnitFamily): string {
  return text.replace(/\{(\w+)\}/g, (whole, name: string) => {
    const value = Object.hasOwn(values, name) ? values[name]! : null
    if (value === null) return whole
    return 'text' in value ? say(value, family) : showText(value, family)
  })
}
