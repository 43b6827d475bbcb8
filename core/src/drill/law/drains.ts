import type { Blocked, BoxSearch } from '../../loop/index.ts'
import type { Law, Rates } from '../rates.ts'

/** What the drains of one box bring down. */
export class Drains implements Law {
  readonly #box: number
  readonly #drains: BoxSearch
  /** Of each drain: the vessel it ends in. */
  readonly #into: readonly number[]
  /** Of each drain: where its mouth lets the water out. */
  readonly #mouthM: readonly number[]
  readonly #blocked: Blocked

  constructor(
    box: number,
    drains: BoxSearch,
    {
      into,
      mouthM,
      blocked,
    }: { into: readonly number[]; mouthM: readonly number[]; blocked: Blocked },
  ) {
    this.#box = box
    this.#drains = drains
    this.#into = into
    this.#mouthM = mouthM
    this.#blocked = blocked
  }

  add(levels: number[], rates: Rates, wantsSlopes: boolean): void {
    const { flow, perLevel, perFall, outM } = this.#drains
    for (let i = 0; i < this.#into.length; i++) {
      outM[i] = Math.max(this.#mouthM[i]!, levels[this.#into[i]!]!)
    }
    this.#drains.drainAt(levels[this.#box]!, this.#blocked)
    for (let i = 0; i < this.#into.length; i++) {
      const into = this.#into[i]!
      rates.flow(this.#box, into, flow[i]!)
      if (!wantsSlopes) continue
      rates.slope(this.#box, into, this.#box, perLevel[i]!)
      const drowned = levels[into]! > this.#mouthM[i]!
      if (drowned) rates.slope(this.#box, into, into, -perFall[i]!)
    }
  }

  /** What each drain carried when last asked, into the places the design gives them. */
  flowsInto(all: number[]): void {
    const { box, flow } = this.#drains
    box.drains.forEach(({ index }, i) => (all[index] = flow[i]!))
  }
}
