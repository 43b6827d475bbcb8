import type { Sentence } from '../../quantity/sentence.ts'
import type { BasinDesign } from '../design.ts'
import type { Edit } from '../edit.ts'
import type { Layout } from '../layout.ts'
import type { SolvedReturn, SolvedTank, SolvedWater } from '../solved.ts'

/** stop: it will not do. watch: it will do, with an eye on it. fine: said because it was asked. */
export type Severity = 'stop' | 'watch' | 'fine'

/** The stop on the water's path that a finding belongs to. */
export type PathStop = 'tank' | 'return'

/** A change that would mend it, and what it would bring. */
export interface Fix {
  readonly label: Sentence
  readonly brings: Sentence
  readonly edits: readonly Edit[]
}

export type FindingCode =
  | 'water-over-rim'
  | 'rim-over-panels'
  | 'little-freeboard'
  | 'no-net-water'
  | 'no-flow-at-this-speed'
  | 'valve-shut'
  | 'flows-back'
  | 'unsettled'
  | 'flow-short'
  | 'flow-past'
  | 'flow-as-wanted'
  | 'water-too-fast'
  | 'outlet-mismatch'
  | 'past-known-curve'
  | 'turn-without-elbow'
  | 'pieces-after-nozzle'
  | 'mouth-outside-tank'
  | 'mouth-under-water'

export interface Finding {
  readonly code: FindingCode
  readonly severity: Severity
  readonly stop: PathStop
  /** What is so. */
  readonly title: Sentence
  /** Why it is so, and what to do where no fix can do it alone. */
  readonly reason: Sentence
  /** The piece of the run it is about. */
  readonly pieceId: string | null
  readonly fixes: readonly Fix[]
}

/** What the findings are made from. */
export interface Solving {
  readonly design: BasinDesign
  readonly layout: Layout
  readonly tank: SolvedTank
  readonly water: SolvedWater
  readonly returnSide: SolvedReturn
}
