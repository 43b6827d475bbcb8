import type { Edit } from '../../design/index.ts'
import { type Sentence, sentence } from '../../quantity/index.ts'

/** A change in words and as edits, before it is tried. */
export interface Change {
  readonly label: Sentence
  readonly edits: readonly Edit[]
}

/** "Both: run the pump at 100%, run it in 1″ schedule 40", with each label's own quantities. */
export function inOne(changes: readonly Change[]): Change {
  const [first, second, third] = changes.map(({ label: { text, values } }) => ({
    text: text.charAt(0).toLowerCase() + text.slice(1),
    values,
  }))
  return {
    label: third
      ? sentence('All: {first}, {second}, {third}', { first: first!, second: second!, third })
      : sentence('Both: {first}, {second}', { first: first!, second: second! }),
    edits: changes.flatMap((change) => change.edits),
  }
}
