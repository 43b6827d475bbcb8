import { GRAVITY_M_PER_S2, type Water } from '../fluid/index.ts'
import { evaluatePchip, type Pchip, pchipSlope, zeros } from '../numeric/index.ts'
import {
  beginFriction,
  boreAreaM2,
  FACTOR,
  FRICTION_ROOM,
  frictionAside,
  frictionAt,
  LAMINAR_UP_TO_RE,
  SLOPE,
} from '../pipe/index.ts'
import { FORCED_BACK_K } from '../pump/index.ts'
import type { Line } from './line.ts'
import type { LinkPump, NetworkLink } from './problem.ts'

/** Resistance of a check valve that is pushed shut, s/m²: 1 m of head leaks 1e-9 m³/s, which the last step takes away. */
export const SHUT_RESISTANCE = 1e9

/**
 * Somebody's search along a link's law, to be asked thousands of times: where each wall's friction
 * was found last, which is where the next search for it begins. Moves as it is asked; never shared.
 */
export interface LinkSearch {
  readonly line: Line
  readonly tables: readonly Pchip[]
  readonly pump: LinkPump | null
  readonly kinematicM2PerS: number
  /** V²/2g on the pump's outlet = q² × this. */
  readonly pumpPerFlow2: number
  /** What the law is made of, side by side from place `at` of a list that may hold a whole network's: see `QUAD`. */
  readonly numbers: number[]
  readonly at: number
  /** One wall with its fittings, and neither device nor pump: what most links are. */
  readonly plain: boolean
  /** Nothing comes back through it; moves with the water its end stands in. */
  oneWay: boolean
}

/** Where a link's numbers stand: Σ k/(2g A²), s²/m⁵; Σ km/(2g A D) × ν, s/m²; then its walls. */
const QUAD = 0
const LINEAR = 1
const WALLS = 2
/** And of each wall Re/|q|, s/m³; h/(f q²), s²/m⁵; the search for its friction. */
const RE_PER_FLOW = 0
const PER_FLOW2 = 1
const SEARCH = 2
const WALL_ROOM = SEARCH + FRICTION_ROOM

/** A wall's friction, read at once: it holds nothing between two calls. */
const AT = zeros(2)

/** What a search stands on of a link: all but its place in a network. */
export type LinkParts = Pick<NetworkLink, 'line' | 'tables' | 'pump'>

/** How many numbers a link's law takes. */
export function roomOf({ line }: Pick<LinkParts, 'line'>): number {
  return WALLS + WALL_ROOM * line.walls.length
}

/** A search along a link's law that was asked nothing yet. */
export function searchOf(
  parts: LinkParts,
  water: Pick<Water, 'kinematicM2PerS'>,
  oneWay = false,
): LinkSearch {
  return searchAt(parts, water, oneWay, { numbers: zeros(roomOf(parts)), at: 0 })
}

/** The same with its numbers in a list that is there, from a place on. */
export function searchAt(
  { line, tables, pump }: LinkParts,
  { kinematicM2PerS }: Pick<Water, 'kinematicM2PerS'>,
  oneWay: boolean,
  { numbers, at }: { readonly numbers: number[]; readonly at: number },
): LinkSearch {
  const { walls } = line
  numbers[at + QUAD] = line.quad
  numbers[at + LINEAR] = line.linear * kinematicM2PerS
  for (let w = 0; w < walls.length; w++) {
    const { rePerFlow, perFlow2, relativeRoughness } = walls[w]!
    const wall = at + WALLS + WALL_ROOM * w
    numbers[wall + RE_PER_FLOW] = rePerFlow / kinematicM2PerS
    numbers[wall + PER_FLOW2] = perFlow2
    beginFriction(numbers, wall + SEARCH, relativeRoughness)
  }
  const pumpAreaM2 = pump ? boreAreaM2(pump.outletBoreM) : 1
  return {
    line,
    tables,
    pump,
    kinematicM2PerS,
    pumpPerFlow2: 1 / (2 * GRAVITY_M_PER_S2 * pumpAreaM2 * pumpAreaM2),
    numbers,
    at,
    plain: walls.length === 1 && tables.length === 0 && pump === null,
    oneWay,
  }
}

/** Head lost along a link and its slope, written into by `linkHead`. */
export interface LinkHead {
  headM: number
  /** dh/dq, s/m². */
  slope: number
}

/** What `linkHeads` asks a link into, read at once. */
const FOUND: LinkHead = { headM: 0.5, slope: 0.5 }

/** Heads and slopes of many links at their flows. Most are plain, and asked right here. */
export function linkHeads(
  searches: readonly LinkSearch[],
  flow: readonly number[],
  head: number[],
  slope: number[],
): void {
  for (let i = 0; i < searches.length; i++) {
    const search = searches[i]!
    const { numbers, at } = search
    const size = Math.abs(flow[i]!)
    const re = search.plain ? size * numbers[at + WALLS + RE_PER_FLOW]! : 0
    if (re <= LAMINAR_UP_TO_RE || (search.oneWay && flow[i]! < 0)) {
      linkHead(search, flow[i]!, FOUND)
      head[i] = FOUND.headM
      slope[i] = FOUND.slope
      continue
    }
    frictionAt(re, numbers, at + WALLS + SEARCH, AT)
    const once = numbers[at + WALLS + PER_FLOW2]! * size
    const quad = numbers[at + QUAD]! * size
    const linear = numbers[at + LINEAR]!
    const lost = (quad + linear + once * AT[FACTOR]!) * size
    head[i] = flow[i]! < 0 ? -lost : lost
    slope[i] = 2 * quad + linear + once * (2 * AT[FACTOR]! + AT[SLOPE]!)
  }
}

/** Head from the link's start to its end that a flow costs; a running pump counts as negative. */
export function linkHead(search: LinkSearch, flowM3PerS: number, into: LinkHead): void {
  const { numbers, at, line, tables, pump } = search
  if (flowM3PerS < 0 && search.oneWay) return pushedShut(pump, flowM3PerS, into)
  const size = Math.abs(flowM3PerS)
  const quad = numbers[at + QUAD]! * size
  const linear = numbers[at + LINEAR]!
  let headM = (quad + linear) * size
  let slope = 2 * quad + linear
  for (let w = 0; w < line.walls.length; w++) {
    const wall = at + WALLS + WALL_ROOM * w
    const rePerFlow = numbers[wall + RE_PER_FLOW]!
    const perFlow2 = numbers[wall + PER_FLOW2]!
    const re = size * rePerFlow
    if (re <= LAMINAR_UP_TO_RE) {
      // f = 64/Re: linear in q, so it does not divide by a flow of zero.
      const laminar = (64 * perFlow2) / rePerFlow
      headM += laminar * size
      slope += laminar
      continue
    }
    frictionAt(re, numbers, wall + SEARCH, AT)
    const once = perFlow2 * size
    headM += once * AT[FACTOR]! * size
    slope += once * (2 * AT[FACTOR]! + AT[SLOPE]!)
  }
  into.headM = headM
  into.slope = slope
  for (let t = 0; t < tables.length; t++) addTable(tables[t]!, size, into)
  if (flowM3PerS < 0) into.headM = -into.headM
  if (pump) addPump(pump, search.pumpPerFlow2, flowM3PerS, into)
}

function pushedShut(pump: LinkPump | null, flowM3PerS: number, into: LinkHead): void {
  const shutOffM = pump && !pump.stopped ? pump.speed ** 2 * pump.curve.shutOffHeadM : 0
  into.headM = SHUT_RESISTANCE * flowM3PerS - shutOffM
  into.slope = SHUT_RESISTANCE
}

/** The two groups of a link's losses, written into by `linkLoss`. */
export interface LinkLoss {
  frictionM: number
  /** Fittings, devices and the exit. */
  fittingsM: number
  /** d(frictionM)/d|q|, s/m². */
  frictionSlope: number
}

/** What a flow's size loses in a link's pipe, fittings and devices; its pump and its tees apart. */
export function linkLoss(search: LinkSearch, flowM3PerS: number, into: LinkLoss): void {
  const { line, tables, numbers, at } = search
  const size = Math.abs(flowM3PerS)
  into.frictionM = 0
  into.frictionSlope = 0
  into.fittingsM = (numbers[at + QUAD]! * size + numbers[at + LINEAR]!) * size
  if (size === 0) return
  for (let w = 0; w < line.walls.length; w++) {
    const factor = wallFactor(search, w, size)
    const { perFlow2 } = line.walls[w]!
    into.frictionM += factor * perFlow2 * size * size
    into.frictionSlope += perFlow2 * size * (2 * factor + AT[SLOPE]!)
  }
  for (const table of tables) into.fittingsM += tableLossM(table, size)
}

/** Darcy friction factor along one of a search's walls; leaves the search where it stands. */
export function wallFactor(search: LinkSearch, wall: number, size: number): number {
  const { numbers, at } = search
  const place = at + WALLS + WALL_ROOM * wall
  frictionAside(size * numbers[place + RE_PER_FLOW]!, numbers, place + SEARCH, AT)
  return AT[FACTOR]!
}

/** Head a device loses for the size of a flow; past its last point it grows with the flow's square. */
export function tableLossM(table: Pchip, flowM3PerS: number): number {
  const size = Math.abs(flowM3PerS)
  const last = table.xs.length - 1
  const most = table.xs[last]!
  return size <= most ? evaluatePchip(table, size) : table.ys[last]! * (size / most) ** 2
}

function addTable(table: Pchip, size: number, into: LinkHead): void {
  const last = table.xs.length - 1
  const most = table.xs[last]!
  into.headM += tableLossM(table, size)
  into.slope +=
    size <= most ? pchipSlope(table, size) : (2 * table.ys[last]! * size) / (most * most)
}

function addPump(pump: LinkPump, perFlow2: number, flow: number, into: LinkHead): void {
  const { curve, speed, stopped } = pump
  if (stopped || speed <= 0 || flow < 0) {
    const k = FORCED_BACK_K * perFlow2
    into.headM += k * flow * Math.abs(flow)
    into.slope += 2 * k * Math.abs(flow)
    if (!stopped) into.headM -= speed * speed * curve.shutOffHeadM
    return
  }
  into.headM -= speed * speed * curve.headAtFullSpeedM(flow / speed)
  into.slope -= speed * curve.slopeAtFullSpeed(flow / speed)
}
