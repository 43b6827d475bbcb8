/** What the reference loop takes on this project's machine while nothing else runs, ms. */
export const QUIET_REFERENCE_MS = 0.2

/** Things made in one loop. */
const THINGS = 2250

interface Thing {
  readonly id: number
  readonly place: { readonly x: number; readonly y: number }
  readonly own: readonly number[]
}

/** Of the loop before: makes each loop walk memory that is a little older, as a solve does. */
let before: readonly Thing[] = []

/**
 * Work that never changes, of the kind that is timed beside it: small things made, found again and
 * summed. Arithmetic alone would not feel a neighbour that takes the memory's time.
 */
export function referenceLoop(): number {
  const made: Thing[] = []
  for (let i = 0; i < THINGS; i++) {
    const x = Math.sqrt(i + 1)
    made.push({ id: i, place: { x, y: 1 / x }, own: [x, i] })
  }
  const far = made.filter(({ place }) => place.x > 10).map(({ id, own }) => ({ id, sum: own[0]! }))
  let sum = 0
  for (const { place } of before) sum += place.x * place.y
  for (const { id, sum: own } of far) sum += own / (1 + made[id]!.place.y)
  before = made
  return sum
}

/** A time as it would be while the machine is quiet, by what the reference loop took beside it. */
export function quietMs(ms: number, referenceMs: number): number {
  return (ms * QUIET_REFERENCE_MS) / referenceMs
}
