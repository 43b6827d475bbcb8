import { type Fall, FallSearch } from '../../drain/index.ts'
import { Between, bothWays } from '../rates.ts'

/** Water through holes or tubes between a tank's inner side and its box, whichever way. */
export function throughPassage(from: number, to: number, passage: Fall, count: number): Between {
  const search = new FallSearch(passage)
  let guess = 1e-4
  const down = (highM: number, lowM: number) => {
    guess = search.flowAt(highM - lowM, guess).flowM3PerS
    return count * guess
  }
  return new Between(from, to, bothWays(down))
}
