import { zeros } from './zeros.ts'

/** A list to reckon in that grows with what is asked for, kept by who reckons; it holds nothing between two calls. */
export class Scratch {
  #list: number[] = zeros(32)

  /** At least so many numbers, whatever they are. */
  atLeast(length: number): number[] {
    if (this.#list.length < length) this.#list = zeros(2 * length)
    return this.#list
  }
}
