import type { Sentence } from '../quantity/index.ts'

/** What a newcomer may lack, each explained once. */
export const IDEA_NAMES = [
  'head',
  'weir',
  'siphon',
  'air-in-pipe',
  'comes-down',
  'walls-hold',
  'lines-share',
  'true-to-scale',
  'light-and-time',
  'warmth',
] as const

/** One of the ideas. */
export type IdeaName = (typeof IDEA_NAMES)[number]

/** An idea told to a newcomer. */
export interface Idea {
  readonly name: IdeaName
  readonly title: Sentence
  /** What holds of any loop. */
  readonly holds: Sentence
  /** What it comes to in this one; null: the design does not say. */
  readonly here: Sentence | null
}
