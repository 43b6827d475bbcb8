import { bestFitDecreasing, fewestBins } from './bin-packing.ts'

/** Cuts of one size laid into stock lengths. */
export interface Nesting {
  readonly stockM: number
  readonly sawCutM: number
  /** Of each stock: the places of its cuts in the list given, longest first. */
  readonly stocks: readonly (readonly number[])[]
  /** What is left of each stock, the last saw cut off it too, m. */
  readonly offcutsM: readonly number[]
  /** ⌈Σ cuts/stock⌉: no fewer can do. */
  readonly lowerBound: number
  /** By the plain rule: longest first, where it fits best. */
  readonly byRule: number
  /** No way with fewer exists. */
  readonly isFewest: boolean
}

/** Up to so many cuts the fewest are searched for. */
const MOST_SEARCHED = 40
/** Lengths count in steps of a micrometre, so that sums are exact. */
const STEP_M = 1e-6

const steps = (m: number) => Math.round(m / STEP_M)

/**
 * Fewest stocks for a list of cuts, sum of cuts + (n − 1) saw cuts ≤ stock: best-fit decreasing, then
 * branch and bound up to 40 cuts. Throws on a cut longer than its stock.
 */
export function nest(
  cutsM: readonly number[],
  { stockM, sawCutM }: Pick<Nesting, 'stockM' | 'sawCutM'>,
): Nesting {
  const long = cutsM.find((cut) => steps(cut) > steps(stockM))
  if (long !== undefined)
    throw new RangeError(`a cut of ${long} m is longer than its stock of ${stockM} m`)
  const sizes = cutsM.map((cut) => steps(cut) + steps(sawCutM))
  const room = steps(stockM) + steps(sawCutM)
  const byRule = bestFitDecreasing(sizes, room)
  const searched =
    cutsM.length <= MOST_SEARCHED
      ? fewestBins(sizes, room, byRule)
      : { bins: byRule, isFewest: false }
  const lowerBound = Math.ceil(cutsM.reduce((sum, cut) => sum + steps(cut), 0) / steps(stockM))
  return {
    stockM,
    sawCutM,
    stocks: searched.bins,
    offcutsM: searched.bins.map((bin) => {
      const left = bin.reduce((rest, i) => rest - sizes[i]!, steps(stockM))
      return Math.max(0, left) * STEP_M
    }),
    lowerBound,
    byRule: byRule.length,
    isFewest: searched.isFewest || searched.bins.length === lowerBound,
  }
}
