import type { DeepSpot, PaperSpot } from './paper.ts'

/** A straight stretch on paper. */
export interface Stretch {
  readonly from: DeepSpot
  readonly to: DeepSpot
}

/** What stands behind is left out so far on both sides of what stands before it, units. */
const GAP = 7
/** Nearer to an end of either stretch than this they meet rather than cross, units. */
const END = 3

/**
 * The parts of each stretch that are drawn: where two cross on paper the one that is farther from the eye is
 * broken, as a fitter's drawing has it.
 */
export function brokenWhereBehind(
  stretches: readonly Stretch[],
): (readonly [PaperSpot, PaperSpot])[][] {
  const gaps: [number, number][][] = stretches.map(() => [])
  for (let i = 0; i < stretches.length; i++)
    for (let j = i + 1; j < stretches.length; j++) {
      const [a, b] = [stretches[i]!, stretches[j]!]
      const at = crossingOf(a, b)
      if (!at) continue
      const isAFarther = nearAt(a, at.a) < nearAt(b, at.b)
      const [which, share, stretch] = isAFarther ? ([i, at.a, a] as const) : ([j, at.b, b] as const)
      const half = GAP / lengthOf(stretch)
      gaps[which]!.push([share - half, share + half])
    }
  return stretches.map((stretch, i) => whatIsLeft(gaps[i]!).map(([a, b]) => part(stretch, a, b)))
}

const lengthOf = ({ from, to }: Stretch) => Math.hypot(to.x - from.x, to.y - from.y)

const nearAt = ({ from, to }: Stretch, share: number) => from.near + share * (to.near - from.near)

/** How far along each two stretches cross; null: they don't, or meet at an end. */
function crossingOf(a: Stretch, b: Stretch): { readonly a: number; readonly b: number } | null {
  const [ax, ay] = [a.to.x - a.from.x, a.to.y - a.from.y]
  const [bx, by] = [b.to.x - b.from.x, b.to.y - b.from.y]
  const turn = ax * by - ay * bx
  if (Math.abs(turn) < 1e-9) return null
  const [dx, dy] = [b.from.x - a.from.x, b.from.y - a.from.y]
  const s = (dx * by - dy * bx) / turn
  const t = (dx * ay - dy * ax) / turn
  const [endA, endB] = [END / Math.hypot(ax, ay), END / Math.hypot(bx, by)]
  return s > endA && s < 1 - endA && t > endB && t < 1 - endB ? { a: s, b: t } : null
}

/** From 0 to 1 without the gaps. */
function whatIsLeft(gaps: readonly (readonly [number, number])[]): [number, number][] {
  const left: [number, number][] = []
  let from = 0
  for (const [start, end] of gaps.toSorted((a, b) => a[0] - b[0])) {
    if (start > from) left.push([from, start])
    from = Math.max(from, end)
  }
  if (from < 1) left.push([from, 1])
  return left
}

function part({ from, to }: Stretch, a: number, b: number): readonly [PaperSpot, PaperSpot] {
  const at = (share: number): PaperSpot => ({
    x: from.x + share * (to.x - from.x),
    y: from.y + share * (to.y - from.y),
  })
  return [at(a), at(b)]
}
