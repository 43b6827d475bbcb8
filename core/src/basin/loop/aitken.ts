/** Dynamic relaxation of a fixed point (Irons & Tuck 1969, after Aitken): one factor for all levels. */
export class AitkenStep {
  #factor = 1
  readonly #last: Float64Array
  #first = true

  constructor(length: number) {
    this.#last = new Float64Array(length)
  }

  /** Moves the levels towards what they bring about; returns the largest difference. */
  advance(levels: Float64Array, brought: Float64Array): number {
    const residual = brought.map((level, i) => level - levels[i]!)
    let against = 0
    let change = 0
    let largest = 0
    residual.forEach((now, i) => {
      const turn = now - this.#last[i]!
      against += this.#last[i]! * turn
      change += turn * turn
      largest = Math.max(largest, Math.abs(now))
    })
    if (!this.#first && change > 0) this.#factor *= -against / change
    this.#factor = Math.min(1, Math.max(0.05, this.#factor))
    this.#first = false
    this.#last.set(residual)
    residual.forEach((now, i) => (levels[i]! += this.#factor * now))
    return largest
  }
}
