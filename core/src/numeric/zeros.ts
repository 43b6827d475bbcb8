/** Longer ones are asked for seldom, and are not worth their room. */
const MOST_KEPT = 1024
/** Lists of zeros of each length asked for so far, to be copied. */
const ZEROS: number[][] = []

/**
 * So many zeros, to be written into. A typed array of more than eight numbers lies outside the
 * engine's own heap and costs some twenty times as much to make; a solve at every keystroke makes
 * dozens, a few numbers long. The list is held as plain doubles: zeros alone would be held as
 * integers and turned over at the first fraction.
 */
export function zeros(length: number): number[] {
  const known = ZEROS[length]
  if (known) return known.slice()
  const list: number[] = []
  for (let i = 0; i < length; i++) list.push(NaN)
  for (let i = 0; i < length; i++) list[i] = 0
  if (length <= MOST_KEPT) ZEROS[length] = list.slice()
  return list
}

/** The same of whole zeros. */
const WHOLE: number[][] = []

/** So many whole zeros, for counts and places in another list. */
export function wholeZeros(length: number): number[] {
  const known = WHOLE[length]
  if (known) return known.slice()
  const list: number[] = []
  for (let i = 0; i < length; i++) list.push(0)
  if (length <= MOST_KEPT) WHOLE[length] = list.slice()
  return list
}

/** So many −1: places of nothing. */
export function noPlaces(length: number): number[] {
  const list = wholeZeros(length)
  for (let i = 0; i < length; i++) list[i] = -1
  return list
}

/** Writes one list over another of the same length. */
export function writeOver(into: number[], from: readonly number[]): void {
  for (let i = 0; i < from.length; i++) into[i] = from[i]!
}
