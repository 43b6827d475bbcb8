import type { BasinDesign } from '../design/index.ts'
import { memoizeLast } from '../numeric/index.ts'
import { findSteadyState, type SteadyState } from './find-steady-state.ts'

/** A design on the screen, a few fixes and pumps tried on it, and the one before it (choice). */
const KEPT = 12

let searched = 0

/** How many steady states were searched for in this thread so far: what a page and a command are held to. */
export function steadyStatesSearched(): number {
  return searched
}

/**
 * The steady state of a design: found once for each, however many ask. Levels and flows at rest with
 * each other, whatever was asked before.
 */
export const steadyState: (design: BasinDesign) => SteadyState = memoizeLast(
  (design: BasinDesign) => {
    searched += 1
    return findSteadyState(design)
  },
  KEPT,
)
