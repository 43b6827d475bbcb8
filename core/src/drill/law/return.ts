import type { BoundaryLevels } from '../../layout/index.ts'
import { type Flowing, flowThrough, type Network } from '../../network/index.ts'
import type { Law, Rates } from '../rates.ts'

/** Where a link of the network takes water from, or gives it to. */
export interface Tap {
  readonly link: number
  readonly vessel: number
}

/** Step of a level by which the flows are probed, m. */
const FEEL_M = 1e-6

/** The return side as one network: pumps draw from chambers, ends give into tanks and chambers. */
export class ReturnFlow implements Law {
  readonly #network: Network
  readonly #boundary: BoundaryLevels
  readonly #draws: readonly Tap[]
  readonly #ends: readonly Tap[]
  readonly #places: readonly number[]
  /** What runs, as last asked for. */
  flowing: Flowing

  constructor(
    network: Network,
    boundary: BoundaryLevels,
    taps: { draws: readonly Tap[]; ends: readonly Tap[] },
    from?: number[],
  ) {
    this.#network = network
    this.#boundary = boundary
    this.#places = boundary.places
    this.#draws = taps.draws
    this.#ends = taps.ends
    this.flowing = flowThrough(network, from)
  }

  add(levels: number[], rates: Rates, wantsSlopes: boolean): void {
    this.#solve(levels)
    const here = this.flowing.flowsM3PerS
    this.#spread(here, (vessel, flow) => (rates.rate[vessel] = rates.rate[vessel]! + flow))
    // Water that runs back hangs on the levels as a root does; a pump's hardly moves with them.
    if (wantsSlopes && here.some((flow) => flow < 0)) this.#probe(levels, rates, here)
  }

  #solve(levels: number[]): void {
    if (!this.#boundary.apply(levels)) return
    this.flowing = flowThrough(this.#network, this.flowing.flowsM3PerS)
  }

  /** Each level moved a little, and what that does to every flow. */
  #probe(levels: number[], rates: Rates, here: number[]): void {
    const moved = levels.slice()
    const { flowing } = this
    for (const place of this.#places) {
      moved[place] = levels[place]! + FEEL_M
      this.#solve(moved)
      const there = this.flowing.flowsM3PerS
      const off = here.map((flow, link) => (there[link]! - flow) / FEEL_M)
      this.#spread(off, (vessel, perLevel) => {
        const at = vessel * rates.size + place
        rates.perLevel[at] = rates.perLevel[at]! + perLevel
      })
      moved[place] = levels[place]!
    }
    this.#boundary.apply(levels)
    this.flowing = flowing
  }

  /** What each vessel gets of the flows, so that nothing is lost between draws and ends. */
  #spread(flows: number[], give: (vessel: number, flow: number) => void): void {
    let over = 0
    for (const { link, vessel } of this.#draws) {
      give(vessel, -flows[link]!)
      over -= flows[link]!
    }
    for (const { link, vessel } of this.#ends) {
      give(vessel, flows[link]!)
      over += flows[link]!
    }
    // What rounding left between draws and ends is taken where the first pump draws.
    const first = this.#draws[0]
    if (first) give(first.vessel, -over)
  }
}
