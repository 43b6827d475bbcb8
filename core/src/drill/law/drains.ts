import { type Blocked, type BoxDrains, drainAt } from '../../loop/index.ts'
import type { Law, Rates } from '../rates.ts'

/** What the drains of one box bring down. */
export class Drains implements Law {
  readonly #box: number
  readonly #drains: BoxDrains
  /** Of each drain: the vessel it ends in. */
  readonly #into: readonly number[]
  /** Of each drain: where its mouth lets the water out. */
  readonly #mouthM: readonly number[]
  readonly #blocked: Blocked

  constructor(
    box: number,
    drains: BoxDrains,
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

  add(levels: Float64Array, rates: Rates, wantsSlopes: boolean): void {
    const { flow, perLevel, perFall, outM } = this.#drains
    for (let i = 0; i < this.#into.length; i++) {
      outM[i] = Math.max(this.#mouthM[i]!, levels[this.#into[i]!]!)
    }
    drainAt(this.#drains, levels[this.#box]!, this.#blocked)
    for (let i = 0; i < this.#into.length; i++) {
      const into = this.#into[i]!
      rates.flow(this.#box, into, flow[i]!)
      if (!wantsSlopes) continue
      rates.slope(this.#box, into, this.#box, perLevel[i]!)
      const drowned = levels[into]! > this.#mouthM[i]!
      if (drowned) rates.slope(this.#box, into, into, -perFall[i]!)
    }
  }
}
