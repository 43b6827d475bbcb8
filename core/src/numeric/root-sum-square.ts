/** √(a² + b²), as two errors that know nothing of each other add up; `Math.hypot` guards against overflow at twenty times the price. */
export function rootSumSquare(a: number, b: number): number {
  return Math.sqrt(a * a + b * b)
}

/** The same of a list by what each brings. */
export function rootSumSquares<T>(list: readonly T[], of: (item: T) => number): number {
  let sum = 0
  for (const item of list) sum += of(item) ** 2
  return Math.sqrt(sum)
}
