/**
 * Solves A x = b for a dense square matrix, row by row in one packed array, by Gauss with partial
 * pivoting. Overwrites the matrix with its factors; `rows` takes the order of the pivots.
 */
export function factorDense(size: number, a: Float64Array, rows: Int32Array): void {
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

/** The x of A x = b from the factors; writes it into `x`. */
export function solveFactored(
  size: number,
  a: Float64Array,
  rows: Int32Array,
  b: Float64Array,
  x: Float64Array,
): void {
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
