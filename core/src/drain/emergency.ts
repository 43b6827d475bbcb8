import { brent } from '../numeric/brent.ts'
import { circularRimFlow, orificeFlow } from '../weir/inlet.ts'
import { fallFlow, type Fall } from './fall.ts'

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

export function ruledBy(pipe: OpenPipe, riseM: number): RuledBy {
  const rim = circularRimFlow(pipe.boreM, riseM)
  const mouth = orificeFlow(pipe.boreM, riseM)
  const all = openPipeFlow(pipe, riseM)
  if (all < Math.min(rim, mouth)) return 'pipe'
  return rim <= mouth ? 'rim' : 'mouth'
}

/** No box is deeper than this, m. */
const MOST_RISE_M = 8

/** Rise over the rim that takes a flow; Infinity when none does. */
export function openPipeRiseM(pipe: OpenPipe, flowM3PerS: number): number {
  if (flowM3PerS <= 0) return 0
  const short = (riseM: number) => openPipeFlow(pipe, riseM) - flowM3PerS
  const found = brent(short, 0, MOST_RISE_M, { tolerance: 1e-13 })
  return found.ok ? found.value : Infinity
}
