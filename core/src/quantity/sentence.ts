import { measured, type Measured, showText } from './format.ts'
import type { QuantityName, UnitFamily } from './units.ts'

/** Words with quantities in them, so that one text can be read in either unit family. */
export interface Sentence {
  /** "{flow} reaches the tank" */
  readonly text: string
  readonly values: Readonly<Record<string, Measured>>
}

/** sentence('{flow} reaches the tank', { flow: ['flow', 0.0008] }) */
export function sentence(
  text: string,
  values: Readonly<Record<string, readonly [QuantityName, number]>> = {},
): Sentence {
  // A copy to be written over: adding name after name to an empty one costs several times as much.
  const held: Record<string, readonly [QuantityName, number] | Measured> = { ...values }
  for (const name in values) {
    const [quantity, si] = values[name]!
    held[name] = measured(quantity, si)
  }
  return { text, values: held as Record<string, Measured> }
}

export function say({ text, values }: Sentence, family: UnitFamily): string {
  return text.replace(/\{(\w+)\}/g, (whole, name: string) => {
    const value = values[name]
    return value ? showText(value, family) : whole
  })
}
