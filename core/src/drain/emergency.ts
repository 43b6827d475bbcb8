import { circularRimFlow, circularRimHeadM, orificeFlow, orificeHeadM } from '../weir/index.ts'
import { type Fall, fallFlow, fallHeadM } from './fall.ts'

/** What holds an open pipe's flow back: its rim, its mouth, or the pipe below. */
export type RuledBy = 'rim' | 'mouth' | 'pipe'

/** An upright pipe with its inlet in a box: open, not primed. */
export interface OpenPipe {
  readonly boreM: number
  /** The pipe below and its drop from the inlet's rim; null: not looked at. */
  readonly below: { readonly fall: Fall; readonly dropM: number } | null
}

/**
 * What an open pipe takes at a rise over its rim: the least of the rim as a weir, its mouth as an
 * orifice, and the full pipe. A pipe that primes takes more.
 */
export function openPipeFlow({ boreM, below }: OpenPipe, riseM: number): number {
  if (riseM <= 0) return 0
  const open = Math.min(circularRimFlow(boreM, riseM), orificeFlow(boreM, riseM))
  if (!below) return open
  return Math.min(open, fallFlow(below.fall, below.dropM + riseM, open))
}

/** What holds an open pipe back at a rise of water: its rim, its mouth, or the pipe below. */
export function ruledBy(pipe: OpenPipe, riseM: number): RuledBy {
  const rim = circularRimFlow(pipe.boreM, riseM)
  const mouth = orificeFlow(pipe.boreM, riseM)
  const all = openPipeFlow(pipe, riseM)
  if (all < Math.min(rim, mouth)) return 'pipe'
  return rim <= mouth ? 'rim' : 'mouth'
}

/**
 * Rise over the rim that takes a flow: the most that rim, mouth or pipe asks for, since each takes
 * more the higher the water stands. Infinity where the pipe is shut.
 */
export function openPipeRiseM({ boreM, below }: OpenPipe, flowM3PerS: number): number {
  if (flowM3PerS <= 0) return 0
  const open = Math.max(circularRimHeadM(boreM, flowM3PerS), orificeHeadM(boreM, flowM3PerS))
  if (!below) return open
  return below.fall.shut
    ? Infinity
    : Math.max(open, fallHeadM(below.fall, flowM3PerS) - below.dropM)
}
