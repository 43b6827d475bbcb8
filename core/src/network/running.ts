import { FITTINGS_BAND, FRICTION_BAND } from './band.ts'
import { linkLoss, type LinkLoss } from './laws.ts'
import type { LossScale } from './line.ts'
import { type Network, rescaled } from './network.ts'
import { solveNetwork } from './solve-network.ts'

/** What flows in every link. */
export interface Flows {
  readonly flowsM3PerS: Float64Array
}

/** What flows in every link and what it loses there. */
export interface Running extends Flows {
  readonly headsM: Float64Array
  readonly frictionM: Float64Array
  /** Fittings, devices and the exit. */
  readonly fittingsM: Float64Array
}

/** The network at rest where nothing is known better. */
export interface Ran {
  readonly running: Running
  readonly iterations: number
  /** Where no answer was found, the link it could not balance. */
  readonly unsettledLinkId: string | null
}

/** A flow smaller than this is none, m³/s. */
export const NO_FLOW_M3_PER_S = 1e-11

/** Flows and heads of a network, and what it took to find them. */
export interface Flowing extends Flows, Omit<Ran, 'running'> {
  readonly headsM: Float64Array
}

/** Solves a network's flows; nothing flows where that fails. */
export function flowThrough(network: Network, from?: Float64Array): Flowing {
  const outcome = solveNetwork(network, from)
  if (!outcome.ok) {
    return {
      flowsM3PerS: new Float64Array(network.problem.links.length),
      headsM: Float64Array.from(network.problem.nodes, (node) => node.headM ?? NaN),
      iterations: outcome.iterations,
      unsettledLinkId: outcome.linkId,
    }
  }
  const { flowsM3PerS, headsM } = outcome.value
  for (let l = 0; l < flowsM3PerS.length; l++) {
    if (Math.abs(flowsM3PerS[l]!) < NO_FLOW_M3_PER_S) flowsM3PerS[l] = 0
  }
  return { flowsM3PerS, headsM, iterations: outcome.iterations, unsettledLinkId: null }
}

/** The same with what every link loses. */
export function run(network: Network, from?: Float64Array): Ran {
  return withLosses(network, flowThrough(network, from))
}

const LOSS: LinkLoss = { frictionM: 0, fittingsM: 0 }

/** What is lost where these flows run. */
export function withLosses({ problem, live, laws, scale }: Network, flowing: Flowing): Ran {
  const { flowsM3PerS, headsM, iterations, unsettledLinkId } = flowing
  const frictionM = new Float64Array(problem.links.length)
  const fittingsM = new Float64Array(problem.links.length)
  for (let i = 0; i < live.length; i++) {
    const link = live[i]!
    linkLoss(laws[i]!, flowsM3PerS[link]!, LOSS, scale)
    frictionM[link] = LOSS.frictionM
    fittingsM[link] = LOSS.fittingsM
  }
  return {
    running: { flowsM3PerS, headsM, frictionM, fittingsM },
    iterations,
    unsettledLinkId,
  }
}

/** The network as computed, and with each group of losses at either end of its band. */
export interface Banded {
  readonly ran: Ran
  readonly fittingsUp: Running
  readonly fittingsDown: Running
  readonly frictionUp: Running
  readonly frictionDown: Running
}

/** A network that rests, with each group of its losses at either end of its band. */
export function runBanded(network: Network, ran: Ran): Banded {
  const here = ran.running.flowsM3PerS
  const at = (scale: LossScale, from: Float64Array) => run(rescaled(network, scale), from).running
  const fittingsUp = at({ friction: 1, fittings: 1 + FITTINGS_BAND }, here)
  const frictionUp = at({ friction: 1 + FRICTION_BAND, fittings: 1 }, here)
  return {
    ran,
    fittingsUp,
    fittingsDown: at({ friction: 1, fittings: 1 - FITTINGS_BAND }, across(here, fittingsUp)),
    frictionUp,
    frictionDown: at({ friction: 1 - FRICTION_BAND, fittings: 1 }, across(here, frictionUp)),
  }
}

/** As far from here as the other end of the band is, the other way: a first guess. */
function across(here: Float64Array, { flowsM3PerS }: Running): Float64Array {
  return here.map((flow, l) => 2 * flow - flowsM3PerS[l]!)
}

/** Half width of a figure: half differences of each group, root sum of squares. */
export function halfWidth(banded: Banded, figure: (running: Running) => number): number {
  const byFittings = (figure(banded.fittingsUp) - figure(banded.fittingsDown)) / 2
  const byFriction = (figure(banded.frictionUp) - figure(banded.frictionDown)) / 2
  // hypot() guards against overflow, which no flow comes near, at several times the cost.
  return Math.sqrt(byFittings * byFittings + byFriction * byFriction)
}
