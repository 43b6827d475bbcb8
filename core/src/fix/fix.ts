import type { Edit } from '../design/index.ts'
import type { Sentence } from '../quantity/index.ts'

/** A change that fixes something: tried before it is offered, and said with what it brought. */
export interface Fix {
  readonly label: Sentence
  /** What it brought when it was tried. */
  readonly brings: Sentence
  readonly edits: readonly Edit[]
}

/** A change that may fix something, before it is tried. */
export interface FixCandidate<Outcome> {
  readonly label: Sentence
  readonly edits: readonly Edit[]
  /** What it brings, from what came of trying it. */
  readonly brings: (after: Outcome) => Sentence
}
