import type { Law, Rates } from '../rates.ts'

/** A flow that hangs on nothing: a top-off that runs, a bucket being filled, evaporation. */
export class Steady implements Law {
  readonly #from: number
  readonly #to: number
  readonly #flowM3PerS: number

  constructor(from: number, to: number, flowM3PerS: number) {
    this.#from = from
    this.#to = to
    this.#flowM3PerS = flowM3PerS
  }

  add(_levels: number[], rates: Rates): void {
    rates.flow(this.#from, this.#to, this.#flowM3PerS)
  }
}
