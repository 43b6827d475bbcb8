import {
  boreOf,
  isHose,
  measureOf,
  type PipeSize,
  seriesSize,
  SERIES_SIZES,
  sizeWords,
} from '../pipe/index.ts'
import type { BodyEnd } from './route/body.ts'
import { systemOf } from '../fitting/index.ts'

/** A piece that the sheet puts in where two halves do not meet. */
export interface Adapter {
  readonly form:
    'socket-thread' | 'socket-barb' | 'thread-barb' | 'bush' | 'metric-inch' | 'hose-reducer'
  /** What it joins: the fitting's side, and the pipe's or hose's. */
  readonly from: BodyEnd
  readonly to: BodyEnd
}

/** How a fitting's end and the pipe or hose beside it come together. */
export type Meeting =
  | { readonly kind: 'direct'; readonly isStretched: boolean }
  | { readonly kind: 'adapter'; readonly adapter: Adapter }
  | { readonly kind: 'none' }

const DIRECT: Meeting = { kind: 'direct', isStretched: false }
/** A hose this much under its barb's bore goes over it warm, and no less. */
const STRETCHES_TO = 0.84
/** Bores that differ by less are one in the shop. */
const SAME_BORE = 0.03

/**
 * What a fitting's end wants to meet a pipe or hose of a size: nothing, one adapter that shops have, or more than
 * one (hydraulics §16, choices): solvent sockets meet threads, barbs and each other of a trade size or one step
 * beside it; metric and inch sockets of one trade size meet by one adapter.
 */
export function meetingOf(end: BodyEnd, size: PipeSize): Meeting {
  const other: BodyEnd = { kind: isHose(size.series) ? 'barb' : 'glued', size }
  if (end.kind === 'barb' && other.kind === 'barb') return hoseOnBarb(end, other)
  const glues = end.kind === 'glued' || end.kind === 'union' || end.kind === 'push-fit'
  if (glues && other.kind === 'glued') return socketOnPipe(end, other)
  // A barb takes hose, so pipe wants a length of it and a tail: two parts.
  if (end.kind === 'barb') return { kind: 'none' }
  if (end.kind === 'push-fit' && sameTrade(end.size, size)) return DIRECT
  if (steps(end.size, size) > 1) return { kind: 'none' }
  const adapter = (form: Adapter['form']): Meeting => ({
    kind: 'adapter',
    adapter: { form, from: end, to: other },
  })
  if (end.kind === 'threaded')
    return adapter(other.kind === 'barb' ? 'thread-barb' : 'socket-thread')
  return adapter('socket-barb')
}

/** The size of a pipe's series nearest to it that an end meets by one part at most; null: none does. */
export function sizeThatMeets(end: BodyEnd, wanted: PipeSize): PipeSize | null {
  const { boreM } = boreOf(wanted)
  const meets = SERIES_SIZES[wanted.series]
    .map(({ size, boreM: own }): [PipeSize, number] => [
      { ...wanted, size, boreM: null },
      Math.abs(Math.log(own / boreM)),
    ])
    .filter(([size]) => meetingOf(end, size).kind !== 'none')
    .sort(([, a], [, b]) => a - b)
  return meets[0]?.[0] ?? null
}

function socketOnPipe(end: BodyEnd, other: BodyEnd): Meeting {
  const [a, b] = [systemOf(end.size), systemOf(other.size)]
  if (a === b)
    return end.size.size === other.size.size
      ? DIRECT
      : { kind: 'adapter', adapter: { form: 'bush', from: end, to: other } }
  return sameTrade(end.size, other.size)
    ? { kind: 'adapter', adapter: { form: 'metric-inch', from: end, to: other } }
    : { kind: 'none' }
}

function hoseOnBarb(end: BodyEnd, other: BodyEnd): Meeting {
  const share = boreOf(other.size).boreM / boreOf(end.size).boreM
  if (Math.abs(share - 1) < SAME_BORE) return DIRECT
  if (share < 1 && share >= STRETCHES_TO) return { kind: 'direct', isStretched: true }
  return steps(end.size, other.size) <= 1
    ? { kind: 'adapter', adapter: { form: 'hose-reducer', from: end, to: other } }
    : { kind: 'none' }
}

/** The trade's sizes, in. */
const TRADE_IN = [0.375, 0.5, 0.625, 0.75, 1, 1.25, 1.5, 2, 3]

/** Place of a size among the trade's, the nearest. */
function tradePlace(size: PipeSize): number {
  const { tradeSizeIn } = seriesSize(size)!
  return TRADE_IN.reduce(
    (best, inches, i) =>
      Math.abs(Math.log(inches / tradeSizeIn)) < Math.abs(Math.log(TRADE_IN[best]! / tradeSizeIn))
        ? i
        : best,
    0,
  )
}

const steps = (a: PipeSize, b: PipeSize) => Math.abs(tradePlace(a) - tradePlace(b))
const sameTrade = (a: PipeSize, b: PipeSize) => steps(a, b) === 0

/** "3/4″ schedule 40", or a thread by its inches alone. */
export function endWords({ kind, size }: BodyEnd): string {
  if (kind !== 'threaded') return sizeWords(size)
  return `${measureOf(size) === 'in' ? size.size : String(seriesSize(size)!.tradeSizeIn)}″ thread`
}
