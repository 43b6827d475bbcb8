import { GRAVITY_M_PER_S2, type Water } from '../fluid/index.ts'
import { evaluatePchip, type Pchip, pchipSlope } from '../numeric/index.ts'
import { boreAreaM2, frictionAt, type FrictionAt } from '../pipe/index.ts'
import { FORCED_BACK_K } from '../pump/index.ts'
import { AS_COMPUTED, type LossScale } from './line.ts'
import type { LinkPump, NetworkLink } from './problem.ts'

/** Resistance of a check valve that is pushed shut, s/m²: 1 m of head leaks 1e-9 m³/s, which the last step takes away. */
export const SHUT_RESISTANCE = 1e9

/** One kind of wall. */
interface WallLaw {
  readonly relativeRoughness: number
  readonly lengthOverBore: number
}

/** One bore of a link: what h = a q² [Σ f W + Km/Re + K] needs. */
interface BoreLaw {
  /** Re = |q| × this. */
  readonly rePerFlow: number
  /** V²/2g = q² × this. */
  readonly velocityHeadPerFlow2: number
  readonly walls: readonly WallLaw[]
  readonly fittingKm: number
  readonly fittingK: number
  readonly exitK: number
}

/** One link's law: the same answer to everyone who asks. */
export interface LinkLaw {
  readonly bores: readonly BoreLaw[]
  readonly tables: readonly Pchip[]
  readonly pump: LinkPump | null
  readonly pumpVelocityHeadPerFlow2: number
}

/**
 * Somebody's search along a law, to be asked thousands of times: where each wall's friction was
 * found last, which is where the next search for it begins. Moves as it is asked; never shared.
 */
export interface LinkSearch {
  readonly law: LinkLaw
  /** 1/√f of every wall as found last, bore after bore; below 1: not yet. */
  readonly inverseRoots: number[]
  /** Nothing comes back through it; moves with the water its end stands in. */
  oneWay: boolean
}

const NOT_YET = 0.5
/** What `frictionAt` writes into and is read at once; it holds nothing between two calls. */
const AT: FrictionAt = { factor: NOT_YET, slope: NOT_YET, inverseRoot: NOT_YET }

/** The friction of one wall of a search, found from where it was found last. */
function wallFriction(roots: number[], wall: number, re: number, roughness: number): FrictionAt {
  AT.inverseRoot = roots[wall]!
  frictionAt(re, roughness, AT)
  roots[wall] = AT.inverseRoot
  return AT
}

/** A search that was asked nothing yet. */
export function searchOf(law: LinkLaw, oneWay = false): LinkSearch {
  const inverseRoots: number[] = []
  for (const { walls } of law.bores) for (const _ of walls) inverseRoots.push(NOT_YET)
  return { law, inverseRoots, oneWay }
}

/** A search that stands where another does, and goes its own way from there. */
export function copySearch({ law, inverseRoots, oneWay }: LinkSearch): LinkSearch {
  return { law, inverseRoots: inverseRoots.slice(), oneWay }
}

/** Head lost along a link and its slope, written into by `linkHead`. */
export interface LinkHead {
  headM: number
  /** dh/dq, s/m². */
  slope: number
}

/** What the law stands on of a link: all but its place in a network. */
export type LinkParts = Pick<NetworkLink, 'line' | 'tables' | 'pump'>

/** Head lost in a link as a function of its flow, m, with its slope. */
export function linkLaw(link: LinkParts, water: Water): LinkLaw {
  const bores = link.line.map((stretch): BoreLaw => ({
    rePerFlow: stretch.boreM / (stretch.areaM2 * water.kinematicM2PerS),
    velocityHeadPerFlow2: 1 / (2 * GRAVITY_M_PER_S2 * stretch.areaM2 ** 2),
    walls: stretch.walls.map((wall) => ({
      relativeRoughness: wall.relativeRoughness,
      lengthOverBore: wall.weightedLengthM / stretch.boreM,
    })),
    fittingKm: stretch.fittingKm,
    fittingK: stretch.fittingK,
    exitK: stretch.exitK,
  }))
  const pumpAreaM2 = link.pump ? boreAreaM2(link.pump.outletBoreM) : 1
  return {
    bores,
    tables: link.tables,
    pump: link.pump,
    pumpVelocityHeadPerFlow2: 1 / (2 * GRAVITY_M_PER_S2 * pumpAreaM2 ** 2),
  }
}

/** Head from the link's start to its end that a flow costs; a running pump counts as negative. */
export function linkHead(
  search: LinkSearch,
  flowM3PerS: number,
  into: LinkHead,
  scale: LossScale = AS_COMPUTED,
): void {
  const { law, oneWay } = search
  if (oneWay && flowM3PerS < 0) return pushedShut(law, flowM3PerS, into)
  const size = Math.abs(flowM3PerS)
  setBores(search, size, into, scale)
  for (let t = 0; t < law.tables.length; t++) addTable(law.tables[t]!, size, into)
  if (flowM3PerS < 0) into.headM = -into.headM
  if (law.pump) addPump(law.pump, law.pumpVelocityHeadPerFlow2, flowM3PerS, into)
}

function pushedShut(law: LinkLaw, flowM3PerS: number, into: LinkHead): void {
  const { pump } = law
  const shutOffM = pump && !pump.stopped ? pump.speed ** 2 * pump.curve.shutOffHeadM : 0
  into.headM = SHUT_RESISTANCE * flowM3PerS - shutOffM
  into.slope = SHUT_RESISTANCE
}

/**
 * What all bores cost, in plain sums: this is asked more often than anything else here, and a sum
 * kept in an object is written to memory with every step.
 */
function setBores(
  { law: { bores }, inverseRoots }: LinkSearch,
  size: number,
  into: LinkHead,
  scale: LossScale,
): void {
  let headM = 0
  let slope = 0
  let wall = 0
  for (let b = 0; b < bores.length; b++) {
    const {
      rePerFlow,
      velocityHeadPerFlow2: perFlow2,
      walls,
      fittingK,
      fittingKm,
      exitK,
    } = bores[b]!
    const k = scale.fittings * fittingK + exitK
    // Km/Re × q² is linear in q: it does not divide by a flow of zero.
    const linear = (perFlow2 * scale.fittings * fittingKm) / rePerFlow
    headM += (perFlow2 * k * size + linear) * size
    slope += 2 * perFlow2 * k * size + linear
    const re = size * rePerFlow
    for (let w = 0; w < walls.length; w++, wall++) {
      const { relativeRoughness, lengthOverBore } = walls[w]!
      if (re < 1) {
        // Laminar friction is linear in q too.
        const laminar = (64 * scale.friction * perFlow2 * lengthOverBore) / rePerFlow
        headM += laminar * size
        slope += laminar
        continue
      }
      const at = wallFriction(inverseRoots, wall, re, relativeRoughness)
      const once = scale.friction * perFlow2 * lengthOverBore * size
      headM += once * at.factor * size
      slope += once * (2 * at.factor + at.slope * re)
    }
  }
  into.headM = headM
  into.slope = slope
}

/** The two groups of a link's losses, written into by `linkLoss`. */
export interface LinkLoss {
  frictionM: number
  /** Fittings, devices and the exit. */
  fittingsM: number
}

/** What a flow's size loses in a link's pipe, fittings and devices, its pump apart. */
export function linkLoss(
  { law: { bores, tables }, inverseRoots }: LinkSearch,
  flowM3PerS: number,
  into: LinkLoss,
  scale: LossScale,
): void {
  into.frictionM = 0
  into.fittingsM = 0
  const size = Math.abs(flowM3PerS)
  if (size === 0) return
  let next = 0
  for (const bore of bores) {
    const re = size * bore.rePerFlow
    const headM = bore.velocityHeadPerFlow2 * size * size
    const fittingK = bore.fittingKm / re + bore.fittingK
    into.fittingsM += (scale.fittings * fittingK + bore.exitK) * headM
    for (const { relativeRoughness, lengthOverBore } of bore.walls) {
      const at = wallFriction(inverseRoots, next++, re, relativeRoughness)
      into.frictionM += scale.friction * at.factor * lengthOverBore * headM
    }
  }
  for (const table of tables) into.fittingsM += tableLossM(table, size)
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

function addPump(pump: LinkPump, velocityHeadPerFlow2: number, flow: number, into: LinkHead): void {
  const { curve, speed, stopped } = pump
  if (stopped || speed <= 0 || flow < 0) {
    const k = FORCED_BACK_K * velocityHeadPerFlow2
    into.headM += k * flow * Math.abs(flow)
    into.slope += 2 * k * Math.abs(flow)
    if (!stopped) into.headM -= speed * speed * curve.shutOffHeadM
    return
  }
  into.headM -= speed * speed * curve.headAtFullSpeedM(flow / speed)
  into.slope -= speed * curve.slopeAtFullSpeed(flow / speed)
}
