import { Scratch, zeros } from '../numeric/index.ts'
import { largest } from './band.ts'
import type { SpreadSums } from './link-spread.ts'
import type { Sweep } from './sweep.ts'

/** What is uncertain in a network's links. */
export interface Uncertain {
  /** +1 where a link's flow runs down, −1 up; nil where nothing flows. */
  readonly along: readonly number[]
  readonly spreads: SpreadSums
  /** The kinds that any link has a piece of. */
  readonly kinds: readonly number[]
  /** Σ d² of each link's pieces of all kinds. */
  readonly squares: readonly number[]
  /** d of each link's pump, m. */
  readonly pumps: readonly number[]
}

/** What is lost in each link and what each flow answers; of all kinds together, and squared and added up. */
const LOST = new Scratch()
const FOUND = new Scratch()
const TOGETHER = new Scratch()
const SQUARED = new Scratch()

/** Half widths of all flows: each piece by itself, by kind or all alike, the largest of these, and the pumps. */
export function widthsOfFlows(
  sweep: Sweep,
  { along, spreads, kinds, squares, pumps }: Uncertain,
): number[] {
  const count = along.length
  const lost = LOST.atLeast(count)
  const found = FOUND.atLeast(count)
  const together = TOGETHER.atLeast(count)
  const squared = SQUARED.atLeast(count)
  for (let e = 0; e < count; e++) {
    together[e] = 0
    squared[e] = 0
  }
  for (const kind of kinds) {
    const from = kind * count
    for (let l = 0; l < count; l++) lost[l] = along[l]! * spreads.sums[from + l]!
    sweep.sums(lost, found)
    for (let e = 0; e < count; e++) {
      together[e] = together[e]! + found[e]!
      squared[e] = squared[e]! + found[e]! * found[e]!
    }
  }
  const widths = zeros(count)
  sweep.squares(squares, widths)
  for (let l = 0; l < count; l++) lost[l] = pumps[l]! * pumps[l]!
  sweep.squares(lost, found)
  for (let e = 0; e < count; e++) {
    const pieces = largest(widths[e]!, squared[e]!, together[e]!)
    widths[e] = along[e] === 0 ? 0 : Math.sqrt(pieces + found[e]!)
  }
  return widths
}
