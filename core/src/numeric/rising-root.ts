/** A function's value and its slope at a place, written into by the function. */
export interface ValueSlope {
  value: number
  slope: number
}

/** Where a rising function reaches a target, and how steeply. */
export interface Root {
  readonly x: number
  readonly slope: number
}

const MOST_STEPS = 80

/**
 * The x from `low` up where a rising f(x) reaches a target: Newton's steps, held inside what is
 * known to be too little and too much, halved where they would leave it. Settles to rounding once
 * a step is smaller than `tolerance` of x. Infinity when f stays short up to `most`.
 *
 * @returns the root, and f's slope where it was evaluated last, a step away
 */
export function risingRoot(
  f: (x: number, into: ValueSlope) => void,
  target: number,
  { low, guess, most, tolerance }: { low: number; guess: number; most: number; tolerance: number },
): Root {
  const at: ValueSlope = { value: 0, slope: 0 }
  let least = low
  let enough = Infinity
  let x = guess > low && guess <= most ? guess : low + (Math.min(most, low + 1) - low) / 2
  for (let step = 0; step < MOST_STEPS; step++) {
    f(x, at)
    const over = at.value - target
    if (over === 0) return { x, slope: at.slope }
    if (over > 0) enough = x
    else least = x
    let next = at.slope > 0 ? x - over / at.slope : NaN
    // Newton doubles its right digits: after a step this small none is wrong.
    if (Math.abs(next - x) <= tolerance * Math.abs(x - low)) return { x: next, slope: at.slope }
    const isBracketed = enough < Infinity && enough - least <= Number.EPSILON * 4 * Math.abs(enough)
    if (isBracketed) return { x: enough, slope: at.slope }
    if (x >= most && over < 0) return { x: Infinity, slope: at.slope }
    if (!(next > least && next < enough)) {
      next = enough === Infinity ? Math.min(most, low + 2 * (x - low)) : (least + enough) / 2
    }
    x = Math.min(next, most)
  }
  return { x, slope: at.slope }
}
