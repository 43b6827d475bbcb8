import type { FeltLevels } from '../../basin/layout/felt-levels.ts'
import { flowThrough, type Flowing } from '../../basin/running.ts'
import type { Network } from '../../network/network.ts'
import type { Law, Rates } from '../rates.ts'

/** Where a link of the network takes water from, or gives it to. */
export interface Tap {
  readonly link: number
  readonly vessel: number
}

/** The return side as one network: pumps draw from chambers, ends give into tanks and chambers. */
export class ReturnFlow implements Law {
  readonly #network: Network
  readonly #felt: FeltLevels
  readonly #draws: readonly Tap[]
  readonly #ends: readonly Tap[]
  /** What runs, as last asked for. */
  flowing: Flowing

  constructor(
    network: Network,
    felt: FeltLevels,
    taps: { draws: readonly Tap[]; ends: readonly Tap[] },
    from?: Float64Array,
  ) {
    this.#network = network
    this.#felt = felt
    this.#draws = taps.draws
    this.#ends = taps.ends
    this.flowing = flowThrough(network, from)
  }

  add(levels: Float64Array, rates: Rates): void {
    if (this.#felt.put(levels)) {
      this.flowing = flowThrough(this.#network, this.flowing.flowsM3PerS)
    }
    const { flowsM3PerS } = this.flowing
    let over = 0
    for (const { link, vessel } of this.#draws) {
      rates.rate[vessel] = rates.rate[vessel]! - flowsM3PerS[link]!
      over -= flowsM3PerS[link]!
    }
    for (const { link, vessel } of this.#ends) {
      rates.rate[vessel] = rates.rate[vessel]! + flowsM3PerS[link]!
      over += flowsM3PerS[link]!
    }
    // What rounding left between draws and ends is taken where the first pump draws.
    const first = this.#draws[0]
    if (first) rates.rate[first.vessel] = rates.rate[first.vessel]! - over
  }
}
