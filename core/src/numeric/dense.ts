import { wholeZeros, zeros } from './zeros.ts'
/** A dense square matrix in factors, and room for them; solves A x = b by Gauss with partial pivoting. */
export class DenseFactors {
  /** Row by row; holds the matrix before it is factored, and its factors after. */
  readonly a: number[]
  /** The order of the pivots. */
  readonly #rows: number[]
  #size = 0

  /** @param most rows of the largest matrix */
  constructor(most: number) {
    this.a = zeros(most * most)
    this.#rows = wholeZeros(most)
  }

  /** Overwrites the matrix of so many rows in `a` with its factors. */
  factor(size: number): void {
    this.#size = size
    const rows = this.#rows
    const { a } = this
    for (let i = 0; i < size; i++) rows[i] = i
    for (let k = 0; k < size; k++) {
      let best = k
      for (let i = k + 1; i < size; i++) {
        if (Math.abs(a[rows[i]! * size + k]!) > Math.abs(a[rows[best]! * size + k]!)) best = i
      }
      const swap = rows[k]!
      rows[k] = rows[best]!
      rows[best] = swap
      const top = rows[k]! * size
      const pivot = a[top + k]!
      for (let i = k + 1; i < size; i++) {
        const row = rows[i]! * size
        const share = a[row + k]!
        if (share === 0) continue
        const scaled = share / pivot
        a[row + k] = scaled
        for (let j = k + 1; j < size; j++) a[row + j] = a[row + j]! - scaled * a[top + j]!
      }
    }
  }

  /** The x of A x = b; writes it into `x`. */
  solve(b: number[], x: number[]): void {
    const size = this.#size
    const rows = this.#rows
    const { a } = this
    for (let i = 0; i < size; i++) {
      const row = rows[i]! * size
      let sum = b[rows[i]!]!
      for (let j = 0; j < i; j++) sum -= a[row + j]! * x[j]!
      x[i] = sum
    }
    for (let i = size - 1; i >= 0; i--) {
      const row = rows[i]! * size
      let sum = x[i]!
      for (let j = i + 1; j < size; j++) sum -= a[row + j]! * x[j]!
      x[i] = sum / a[row + i]!
    }
  }
}
