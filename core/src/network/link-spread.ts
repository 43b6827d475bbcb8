import { SPREAD, SPREAD_KINDS } from '../fitting/index.ts'
import { FORCED_BACK_K } from '../pump/index.ts'
import { type LinkSearch, tableLossM, wallFactor } from './laws.ts'
import type { Spreads } from './line.ts'

/** How many kinds of pieces there are. */
export const KIND_COUNT = SPREAD_KINDS.length
const FITTINGS = 0
const VALVES = 2
const DEVICES = 3
const FRICTION = 4
/** The place of tees among the kinds. */
export const TEES = 1

/** Σ d and Σ d² by kind of the pieces of many links, in metres of head: kind k of link l at k × links + l. */
export interface SpreadSums {
  readonly links: number
  readonly sums: number[]
  readonly squares: number[]
}

/** Adds what one kind of a link's pieces comes to; `at` is its place in the lists. */
function addAt({ sums, squares }: SpreadSums, at: number, sum: number, square: number): void {
  sums[at] = sums[at]! + sum
  squares[at] = squares[at]! + square
}

/** Adds one piece of a kind to a link. */
export function addPiece(into: SpreadSums, kind: number, link: number, spreadM: number): void {
  addAt(into, kind * into.links + link, spreadM, spreadM * spreadM)
}

/** What is uncertain in a link's pipe, fittings and devices at a flow; its pump and tees apart. */
export function addLinkSpread(
  into: SpreadSums,
  link: number,
  search: LinkSearch,
  flowM3PerS: number,
): void {
  const size = Math.abs(flowM3PerS)
  if (size === 0) return
  const { line, tables, kinematicM2PerS } = search
  const { links } = into
  const quad = size * size
  const linear = size * kinematicM2PerS
  addSpreads(into, FITTINGS * links + link, line.fittings, { quad, linear })
  if (isAny(line.valves)) addSpreads(into, VALVES * links + link, line.valves, { quad, linear })
  if (isAny(line.devices)) addSpreads(into, DEVICES * links + link, line.devices, { quad, linear })
  for (let t = 0; t < tables.length; t++) {
    addPiece(into, DEVICES, link, SPREAD.device * tableLossM(tables[t]!, size))
  }
  for (let w = 0; w < line.walls.length; w++) {
    const { spread, spreadSquares } = line.walls[w]!
    const once = wallFactor(search, w, size) * quad
    addAt(into, FRICTION * links + link, once * spread, once * once * spreadSquares)
  }
  const { pump, pumpPerFlow2 } = search
  if (pump && (pump.stopped || pump.speed <= 0)) {
    addPiece(into, DEVICES, link, SPREAD.device * FORCED_BACK_K * pumpPerFlow2 * quad)
  }
}

function isAny({ quadSquares, linearSquares }: Spreads): boolean {
  return quadSquares !== 0 || linearSquares !== 0
}

/** Losses u q² + v ν q known alike, with q² and ν q of a flow. */
function addSpreads(
  into: SpreadSums,
  at: number,
  known: Spreads,
  { quad, linear }: { readonly quad: number; readonly linear: number },
): void {
  const { quadSquares, cross, linearSquares } = known
  addAt(
    into,
    at,
    known.quad * quad + known.linear * linear,
    quadSquares * quad * quad + 2 * cross * quad * linear + linearSquares * linear * linear,
  )
}
