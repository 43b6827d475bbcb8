import { SPREAD, SPREAD_KINDS } from '../fitting/index.ts'
import { FORCED_BACK_K } from '../pump/index.ts'
import { type LinkSearch, tableLossM, wallFactor } from './laws.ts'
import type { Spreads } from './line.ts'

/** How many kinds of pieces there are. */
export const KIND_COUNT = SPREAD_KINDS.length
const [FITTINGS, , VALVES, DEVICES, FRICTION] = [0, 1, 2, 3, 4] as const
/** The place of tees among the kinds. */
export const TEES = 1

/** Σ d and Σ d² by kind of the pieces of many links, in metres of head: kind k of link l at k × links + l. */
export interface SpreadSums {
  readonly links: number
  readonly sums: number[]
  readonly squares: number[]
}

/** Adds what one kind of a link's pieces comes to. */
export function addSpread(
  { links, sums, squares }: SpreadSums,
  { kind, link }: { readonly kind: number; readonly link: number },
  sum: number,
  square: number,
): void {
  const at = kind * links + link
  sums[at] = sums[at]! + sum
  squares[at] = squares[at]! + square
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
  const [quad, linear] = [size * size, size * kinematicM2PerS]
  const add = (kind: number, known: Spreads) => {
    const { quadSquares, cross, linearSquares } = known
    addSpread(
      into,
      { kind, link },
      known.quad * quad + known.linear * linear,
      quadSquares * quad * quad + 2 * cross * quad * linear + linearSquares * linear * linear,
    )
  }
  add(FITTINGS, line.fittings)
  add(VALVES, line.valves)
  add(DEVICES, line.devices)
  for (const table of tables) addDevice(into, link, tableLossM(table, size))
  for (let w = 0; w < line.walls.length; w++) {
    const { spread, spreadSquares } = line.walls[w]!
    const once = wallFactor(search, w, size) * quad
    addSpread(into, { kind: FRICTION, link }, once * spread, once * once * spreadSquares)
  }
  const { pump, pumpPerFlow2 } = search
  if (pump && (pump.stopped || pump.speed <= 0)) {
    addDevice(into, link, FORCED_BACK_K * pumpPerFlow2 * quad)
  }
}

function addDevice(into: SpreadSums, link: number, lossM: number): void {
  const d = SPREAD.device * lossM
  addSpread(into, { kind: DEVICES, link }, d, d * d)
}
