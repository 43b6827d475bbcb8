import { zeros } from '../numeric/index.ts'
/** What flows between vessels at their present levels, and how it hangs on them. */
export class Rates {
  readonly size: number
  /** Of each vessel's water, m³/s. */
  readonly rate: number[]
  /** How each rate moves with each level, m²/s: row of the rate, column of the level. */
  readonly perLevel: number[]

  constructor(size: number) {
    this.size = size
    this.rate = zeros(size)
    this.perLevel = zeros(size * size)
  }

  /** All to nothing; the slopes only where they will be asked for. */
  clear(withSlopes: boolean): void {
    this.rate.fill(0)
    if (withSlopes) this.perLevel.fill(0)
  }

  /** Does any rate hang on a vessel's level? */
  moves(level: number): boolean {
    const { perLevel, size } = this
    for (let at = level; at < perLevel.length; at += size) if (perLevel[at] !== 0) return true
    return false
  }

  /** A flow from one vessel to another; what one loses the other gets, so no water is lost. */
  flow(from: number, to: number, flowM3PerS: number): void {
    this.rate[from] = this.rate[from]! - flowM3PerS
    this.rate[to] = this.rate[to]! + flowM3PerS
  }

  /** How such a flow rises with a vessel's level. */
  slope(from: number, to: number, level: number, perLevelM2PerS: number): void {
    const { perLevel, size } = this
    const out = from * size + level
    const into = to * size + level
    perLevel[out] = perLevel[out]! - perLevelM2PerS
    perLevel[into] = perLevel[into]! + perLevelM2PerS
  }
}

/** One law of the system: adds what flows by it. */
export interface Law {
  add: (levels: number[], rates: Rates, wantsSlopes: boolean) => void
}

/**
 * Levels that differ by less pass water in proportion: the root in a slot's law, and Villemonte's
 * in a drowned rim's, would be steeper there than any step can follow, m (choice).
 */
export const SMALL_FALL_M = 2e-5

/** A flow down a fall, whichever way it falls, made gentle where the fall is small. */
export function bothWays(
  down: (highM: number, lowM: number) => number,
): (fromM: number, toM: number) => number {
  const eased = (highM: number, lowM: number) => {
    const fallM = highM - lowM
    if (fallM >= SMALL_FALL_M) return down(highM, lowM)
    return (down(lowM + SMALL_FALL_M, lowM) * fallM) / SMALL_FALL_M
  }
  return (fromM, toM) => (fromM >= toM ? eased(fromM, toM) : -eased(toM, fromM))
}

/** Step of a level by which a law's slope is probed, m. */
const FEEL_M = 1e-6

/** A flow between two vessels that hangs on their two levels alone. */
export class Between implements Law {
  readonly #from: number
  readonly #to: number
  readonly #flow: (fromM: number, toM: number) => number

  constructor(from: number, to: number, flow: (fromM: number, toM: number) => number) {
    this.#from = from
    this.#to = to
    this.#flow = flow
  }

  add(levels: number[], rates: Rates, wantsSlopes: boolean): void {
    const from = this.#from
    const to = this.#to
    const fromM = levels[from]!
    const toM = levels[to]!
    const q = this.#flow(fromM, toM)
    rates.flow(from, to, q)
    if (!wantsSlopes) return
    rates.slope(from, to, from, (this.#flow(fromM + FEEL_M, toM) - q) / FEEL_M)
    rates.slope(from, to, to, (this.#flow(fromM, toM + FEEL_M) - q) / FEEL_M)
  }
}
