import type { Edit } from '../../design/index.ts'
import type { FlowPlace } from '../../figures/index.ts'
import {
  type FeedCase,
  feedCases,
  type LineCase,
  lineCases,
  ofLine,
  wantedThrough,
  type Whole,
} from '../../finding/index.ts'
import { type Sentence, sentence } from '../../quantity/index.ts'
import type { FindingCandidate } from '../finding-fix.ts'
import type { Trial } from '../trial.ts'

/** A flow that a change is to bring, and the line through which it comes. */
export interface Wish {
  readonly line: LineCase
  readonly place: FlowPlace
  readonly nowM3PerS: number
  readonly wantedM3PerS: number
}

/** A line that should carry what it wants. */
export function wishOfLine(line: LineCase, wantedM3PerS = wantedThrough(line)): Wish {
  return { line, place: ofLine(line), nowM3PerS: line.solved.flowM3PerS, wantedM3PerS }
}

/** A tank that should get what is wanted for it. */
export function wishOfTank({ tank, feeding }: FeedCase): Wish {
  return {
    line: feeding[0]!,
    place: { tankId: tank.tankId },
    nowM3PerS: tank.flowM3PerS,
    wantedM3PerS: tank.wantedFlowM3PerS,
  }
}

/** A tank with what feeds it; null: nothing does. */
export function feedOf(whole: Whole, tankId: string): FeedCase | null {
  const feed = feedCases(whole, lineCases(whole)).find(({ tank }) => tank.tankId === tankId)
  return feed && feed.feeding.length > 0 ? feed : null
}

/** Is the flow nearer to what is wanted than it was? */
export function isNearer({ place, nowM3PerS, wantedM3PerS }: Wish, after: Trial): boolean {
  const off = Math.abs(after.flow(place) - wantedM3PerS)
  return off < Math.abs(nowM3PerS - wantedM3PerS)
}

/** A change judged by the flow that it brings. */
export function givingFlow(
  label: Sentence,
  edits: readonly Edit[],
  place: FlowPlace,
): FindingCandidate {
  return {
    label,
    edits,
    brings: (after) =>
      sentence('Gives {flow}.', { flow: ['flow', after.flow(place), after.flowBand(place)] }),
  }
}
