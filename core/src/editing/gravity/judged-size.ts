import type { BasinDesign, DisplayTank, Drain } from '../../design/index.ts'
import {
  emergencyAnswer,
  FallSearch,
  FILLED,
  PRIMES_FROM_BORES,
  restartOf,
  ventedFlow,
} from '../../drain/index.ts'
import { waterAt } from '../../fluid/index.ts'
import { type LaidDrain, layDrains } from '../../loop/index.ts'
import { SERIES_SIZES, type PipeSeries, type PipeSize } from '../../pipe/index.ts'

/** No drain is laid narrower, m (choice). */
const LEAST_BORE_M = 0.02
/** So much more than comes must pass, so that a gate has something to do and a new pump some room (choice). */
const RESERVE = 1.15
/** and runs no faster than this, m/s (choice). */
const SIPHON_M_PER_S = 1.2
const GUESS_M3_PER_S = 3e-4

/** What a pipe is laid for. */
export interface Laying {
  readonly design: Pick<BasinDesign, 'water'>
  readonly tank: DisplayTank
  /** Rim of the tank, or of a box that stands outside it, over the room's floor. */
  readonly rimM: number
  /** Head that it ends against, over the room's floor. */
  readonly outM: number
  readonly flowM3PerS: number
}

/** How a pipe of one size would be judged: 0 fine, 1 watch, 2 stop. */
function judgedAt(laid: LaidDrain, laying: Laying): number {
  const { flowM3PerS, rimM, outM } = laying
  const { role } = laid.drain
  if (role === 'vented') {
    if (ventedFlow(laid.leastBoreM, FILLED.usual) >= RESERVE * flowM3PerS) return 0
    return ventedFlow(laid.leastBoreM, FILLED.most) >= flowM3PerS ? 1 : 2
  }
  if (role === 'emergency') {
    const below = { fall: laid.alone, dropM: laid.lipM - outM }
    const pipe = { boreM: laid.boreM, below, endUnderM: 0, rises: laid.rises, joined: false }
    const { verdict } = emergencyAnswer(pipe, flowM3PerS, rimM - laid.lipM)
    return { fine: 0, watch: 1, stop: 2 }[verdict]
  }
  const overM = laid.lipM + PRIMES_FROM_BORES * laid.boreM - outM
  const carries = new FallSearch(laid.aloneOpen).flowAt(overM, GUESS_M3_PER_S).flowM3PerS
  if (carries < RESERVE * flowM3PerS) return 2
  const slow = flowM3PerS <= (SIPHON_M_PER_S * Math.PI * laid.boreM * laid.boreM) / 4
  return slow && restartOf(laid, flowM3PerS, 0).restart === 'yes' ? 0 : 1
}

/**
 * The smallest size of a family whose pipe, laid, is judged fine by the laws that judge it afterwards;
 * else the one that is judged best.
 */
export function judgedSize(
  series: PipeSeries,
  laidIn: (size: PipeSize) => Drain,
  laying: Laying,
): PipeSize {
  const sizes = SERIES_SIZES[series].filter(({ boreM }) => boreM >= LEAST_BORE_M)
  let best: { size: PipeSize; judged: number } | null = null
  for (const { size: name } of sizes) {
    const size: PipeSize = { series, size: name, boreM: null }
    const [laid] = layDrains([laidIn(size)], waterAt(laying.design.water))
    const judged = judgedAt(laid!, laying)
    if (judged === 0) return size
    if (!best || judged < best.judged) best = { size, judged }
    // Of siphons none that is wider would be better: what is too slow only slows.
    else if (judged === best.judged && judged === 2) best = { size, judged }
  }
  return best!.size
}
