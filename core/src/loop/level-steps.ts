import { zeros } from '../numeric/index.ts'
/** A level bracketed closer than this is found, m. */
const HEMMED_M = 1e-8

/**
 * The next guess of every level from what the last one implied. More water above means less
 * comes, so what a level brings about falls as it rises: a level that brings a higher one is too
 * low, and the other way round. Each is bracketed so, and moved by the secant inside that; where
 * another level has moved the bracket, it is let go.
 */
export class LevelSteps {
  readonly #low: number[]
  readonly #high: number[]
  readonly #lastLevel: number[]
  readonly #lastOff: number[]

  constructor(length: number) {
    this.#low = zeros(length).fill(-Infinity)
    this.#high = zeros(length).fill(Infinity)
    this.#lastLevel = zeros(length).fill(NaN)
    this.#lastOff = zeros(length).fill(NaN)
  }

  /** Moves the levels; returns how far the furthest is from what it brings about, m. */
  advance(levels: number[], implied: number[]): number {
    let furthest = 0
    for (let i = 0; i < levels.length; i++) {
      const off = implied[i]! - levels[i]!
      furthest = Math.max(furthest, this.#bracket(i, levels[i]!, off) ? 0 : Math.abs(off))
      levels[i] = this.#next(i, levels[i]!, off)
    }
    return furthest
  }

  /** Narrows what a level may be; true when nothing is left to find. */
  #bracket(i: number, level: number, off: number): boolean {
    if (off > 0) {
      this.#low[i] = level
      if (this.#high[i]! <= level) this.#high[i] = Infinity
    } else if (off < 0) {
      this.#high[i] = level
      if (this.#low[i]! >= level) this.#low[i] = -Infinity
    }
    return this.#high[i]! - this.#low[i]! < HEMMED_M
  }

  #next(i: number, level: number, off: number): number {
    const low = this.#low[i]!
    const high = this.#high[i]!
    const turn = off - this.#lastOff[i]!
    const secant = level - (off * (level - this.#lastLevel[i]!)) / turn
    this.#lastLevel[i] = level
    this.#lastOff[i] = off
    const inside = (guess: number) => guess > low && guess < high
    if (low === -Infinity || high === Infinity) {
      const plain = level + off
      return inside(plain) ? plain : level + off / 2
    }
    // A secant that creeps along one side is no help: then the middle.
    const halves = Math.abs(off) < Math.abs(turn) / 2
    return inside(secant) && halves ? secant : (low + high) / 2
  }
}
