import type { CutPlan } from '../cuts.ts'
import { nest } from '../nesting.ts'
import { type ListLine, sizeKey } from './line.ts'

/** What rounding in sums of lengths can't tell apart, m. */
const SAME_M = 1e-9

/** What is still to buy of a line where so much of it is had; of pipe the metres that are had, in one piece. */
export function toBuy(
  line: ListLine,
  have: number | null,
  { plans }: { readonly plans: readonly CutPlan[] },
): number {
  const had = have ?? 0
  if (!line.pipe || line.pipe.stockM === null) return Math.max(0, line.count + line.spare - had)
  const own = plans.find(({ kind, size }) => `${kind} ${sizeKey(size)}` === line.key)
  if (!own?.nesting) return line.count
  const left = withoutLeftover(own.lengthsM, had, own.nesting.sawCutM)
  return left.length === own.lengthsM.length ? line.count : nest(left, own.nesting).stocks.length
}

/** The cuts that a piece of so many metres does not give, the longest taken from it first. */
function withoutLeftover(lengths: readonly number[], haveM: number, sawCutM: number): number[] {
  let roomM = haveM
  return lengths
    .toSorted((a, b) => b - a)
    .filter((cutM) => {
      if (cutM > roomM + SAME_M) return true
      roomM -= cutM + sawCutM
      return false
    })
}
