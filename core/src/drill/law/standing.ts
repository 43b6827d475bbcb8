import type { Law, Rates } from '../rates.ts'

/** Water in a pipe falls, or comes to stand in it, within about so long, s (choice). */
const FALLS_IN_S = 1.5
/** So little more or less in a pipe is nothing, m³. */
const NOTHING_M3 = 1e-9
/** A chamber with less than this in it fills no pipe as fast as it would, m³. */
const LITTLE_M3 = 1e-3

/** How much of a pipe should be full as the levels are; null: its water stays as it is. */
export type Stands = (levels: number[]) => number | null

/** Water that stands in a pipe or in hung equipment: it falls to a chamber, and is taken up from there again. */
export class StandingWater implements Law {
  readonly #pipe: number
  readonly #chamber: number
  readonly #fullM3: number
  readonly #stands: Stands
  readonly #inChamberM3: (levels: number[]) => number

  constructor(
    { pipe, chamber, fullM3 }: { pipe: number; chamber: number; fullM3: number },
    stands: Stands,
    inChamberM3: (levels: number[]) => number,
  ) {
    this.#pipe = pipe
    this.#chamber = chamber
    this.#fullM3 = fullM3
    this.#stands = stands
    this.#inChamberM3 = inChamberM3
  }

  add(levels: number[], rates: Rates, wantsSlopes: boolean): void {
    const share = this.#stands(levels)
    if (share === null) return
    // A store's level is what it holds.
    const missingM3 = share * this.#fullM3 - levels[this.#pipe]!
    if (Math.abs(missingM3) < NOTHING_M3) return
    const has = missingM3 > 0 ? Math.max(0, this.#inChamberM3(levels)) / LITTLE_M3 : 1
    const eased = Math.min(1, has) / FALLS_IN_S
    rates.flow(this.#chamber, this.#pipe, missingM3 * eased)
    if (wantsSlopes) rates.slope(this.#chamber, this.#pipe, this.#pipe, -eased)
  }
}
