import type { SolvedMatch, Touch } from './solved-gravity.ts'

/** A turn that moves the box by more than this wants a careful hand, m (choice). */
const TOUCHY_M = 0.02
/** and by more than this a hair at a time: it is as much as most boxes have between lip and rim, m (choice). */
const VERY_TOUCHY_M = 0.1

/** What one turn or degree that moves the box so far asks of the hand. */
export function touchOfLevel(levelPerTouchM: number | null): SolvedMatch['touch'] {
  return levelPerTouchM === null ? null : touchAt(levelPerTouchM)
}

function touchAt(levelPerTouchM: number): Touch {
  if (levelPerTouchM > VERY_TOUCHY_M) return 'very-touchy'
  return levelPerTouchM > TOUCHY_M ? 'touchy' : 'easy'
}
