import { wholeZeros } from './zeros.ts'
/**
 * Where a symmetric matrix may hold something: row i from column first[i] to its diagonal. The
 * rows lie one behind the other in one packed array; row i, column j is at end[i] − (i − j).
 * Factoring fills nothing outside this envelope.
 */
export interface Envelope {
  readonly size: number
  readonly first: number[]
  /** Place of each row's diagonal in the packed array. */
  readonly end: number[]
  readonly length: number
}

/** The envelope of a matrix whose off-diagonal entries are the given pairs. */
export function makeEnvelope(
  size: number,
  pairs: readonly (readonly [number, number])[],
): Envelope {
  const first = wholeZeros(size)
  for (let i = 0; i < size; i++) first[i] = i
  for (const [i, j] of pairs) {
    const row = Math.max(i, j)
    first[row] = Math.min(first[row]!, i, j)
  }
  const end = wholeZeros(size)
  let length = 0
  for (let i = 0; i < size; i++) {
    length += i - first[i]! + 1
    end[i] = length - 1
  }
  return { size, first, end, length }
}

/**
 * Solves M x = b for a symmetric positive definite M by LDLᵀ inside its envelope (George & Liu
 * 1981). Overwrites the packed matrix with its factors and b with x; allocates nothing.
 * A pivot that is not positive gives NaN in x.
 */
export function solveEnvelope({ size, first, end }: Envelope, matrix: number[], b: number[]): void {
  for (let i = 0; i < size; i++) {
    const rowStart = first[i]!
    const row = end[i]! - i
    let pivot = matrix[end[i]!]!
    let below = b[i]!
    for (let j = rowStart; j < i; j++) {
      const from = first[j]!
      const other = end[j]! - j
      let sum = matrix[row + j]!
      for (let k = rowStart > from ? rowStart : from; k < j; k++) {
        sum -= matrix[row + k]! * matrix[other + k]!
      }
      matrix[row + j] = sum
    }
    for (let j = rowStart; j < i; j++) {
      const scaled = matrix[row + j]! / matrix[end[j]!]!
      pivot -= scaled * matrix[row + j]!
      below -= scaled * b[j]!
      matrix[row + j] = scaled
    }
    matrix[end[i]!] = pivot > 0 ? pivot : NaN
    b[i] = below
  }
  for (let i = 0; i < size; i++) b[i] = b[i]! / matrix[end[i]!]!
  for (let i = size - 1; i >= 0; i--) {
    const row = end[i]! - i
    const x = b[i]!
    for (let j = first[i]!; j < i; j++) b[j] = b[j]! - matrix[row + j]! * x
  }
}
