import type { Edit } from '../design/index.ts'
import type { Sentence } from '../quantity/index.ts'

/** A change that can be looked at before it is made, said with what it brought when it was tried. */
export interface Fix {
  readonly label: Sentence
  readonly brings: Sentence
  readonly edits: readonly Edit[]
}

/** A change that fixes something, and what else it does. */
export interface TriedFix extends Fix {
  /** Titles of other findings that go with it, */
  readonly gone: readonly Sentence[]
  /** and of those that come. */
  readonly come: readonly Sentence[]
}

/** A change that may fix something, before it is tried. */
export interface FixCandidate<Outcome> {
  readonly label: Sentence
  readonly edits: readonly Edit[]
  /** What it brings, from what came of trying it. */
  readonly brings: (after: Outcome) => Sentence
}
