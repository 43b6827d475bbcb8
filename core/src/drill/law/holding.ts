import type { Law, Rates } from '../rates.ts'

/** What a top-off holds: a vessel at a level, out of another. */
export interface HeldLevel {
  readonly from: number
  readonly into: number
  readonly keptM: number
  /** So far below it gives all it can, m. */
  readonly withinM: number
  readonly mostM3PerS: number
}

/** A top-off followed in the mean: it makes up for what goes, instead of starting and stopping. */
export class HoldsLevel implements Law {
  readonly #of: HeldLevel

  constructor(of: HeldLevel) {
    this.#of = of
  }

  add(levels: number[], rates: Rates, wantsSlopes: boolean): void {
    const { from, into, keptM, withinM, mostM3PerS } = this.#of
    const share = (keptM - levels[into]!) / withinM
    if (share <= 0) return
    rates.flow(from, into, Math.min(1, share) * mostM3PerS)
    if (wantsSlopes && share < 1) rates.slope(from, into, into, -mostM3PerS / withinM)
  }
}
