/** A bulkhead by the pipe it takes: general trade figures, so measure your own before you drill. */
export interface Bulkhead {
  /** What the keeper calls it: "1 in", "1 1/4 in"; "25 mm" and so on for metric pipe. */
  readonly size: string
  readonly boreM: number
  readonly holeM: number
  /** Across its flange and nut: what must lie flat on the glass. */
  readonly flangeM: number
  /** The part it was taken from; left out or null: a usual one of its size. */
  readonly partId?: string | null
  /** Its pipe is screwed in; left out: glued. */
  readonly isThreaded?: boolean
}

const INCH_M = 0.0254
const MM_M = 0.001

/** [size, bore, hole, flange] in inches; holes are the usual ones of the trade, to be checked on the part. */
const INCH = [
  ['1/2', 0.5, 1.13, 1.7],
  ['3/4', 0.75, 1.5, 2.2],
  ['1', 1, 1.75, 2.6],
  ['1 1/4', 1.25, 2.25, 3.2],
  ['1 1/2', 1.5, 2.5, 3.6],
  ['2', 2, 3, 4.3],
] as const
/** [size, bore, hole, flange] in mm. */
const METRIC = [
  ['20 mm', 16, 29, 44],
  ['25 mm', 20, 35, 52],
  ['32 mm', 27, 44, 64],
  ['40 mm', 34, 54, 76],
  ['50 mm', 43, 65, 92],
  ['63 mm', 54, 80, 112],
] as const

/** Bulkheads of the trade's sizes with the hole that each needs. */
export const BULKHEADS: readonly Bulkhead[] = [
  ...INCH.map(([size, bore, hole, flange]) => ({
    size: `${size} in`,
    boreM: bore * INCH_M,
    holeM: hole * INCH_M,
    flangeM: flange * INCH_M,
  })),
  ...METRIC.map(([size, bore, hole, flange]) => ({
    size,
    boreM: bore * MM_M,
    holeM: hole * MM_M,
    flangeM: flange * MM_M,
  })),
]
