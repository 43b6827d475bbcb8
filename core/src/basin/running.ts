import { FITTINGS_BAND, FRICTION_BAND } from '../network/band.ts'
import { AS_COMPUTED, lineLoss, type LossScale } from '../network/line.ts'
import { tableLossM } from '../network/laws.ts'
import { makeNetwork, rescaled, type Network } from '../network/network.ts'
import type { NetworkProblem } from '../network/problem.ts'
import { solveNetwork } from '../network/solve-network.ts'

/** What flows in every link and what it loses there. */
export interface Running {
  readonly flowsM3PerS: Float64Array
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

/** Solves the network of a layout; nothing flows where that fails. */
export function run(network: Network, scale: LossScale, from?: Float64Array): Ran {
  const { problem } = network
  const outcome = solveNetwork(network, from)
  if (!outcome.ok) {
    const none = new Float64Array(problem.links.length)
    const heads = Float64Array.from(problem.nodes, (node) => node.headM ?? NaN)
    return {
      running: { flowsM3PerS: none, headsM: heads, frictionM: none, fittingsM: none },
      iterations: outcome.iterations,
      unsettledLinkId: outcome.linkId,
    }
  }
  const { flowsM3PerS, headsM } = outcome.value
  flowsM3PerS.forEach((flow, l) => {
    if (Math.abs(flow) < NO_FLOW_M3_PER_S) flowsM3PerS[l] = 0
  })
  return {
    running: { flowsM3PerS, headsM, ...linkLosses(problem, flowsM3PerS, scale) },
    iterations: outcome.iterations,
    unsettledLinkId: null,
  }
}

function linkLosses({ links, water }: NetworkProblem, flows: Float64Array, scale: LossScale) {
  const frictions = new Float64Array(links.length)
  const fittings = new Float64Array(links.length)
  links.forEach(({ line, tables }, l) => {
    const { frictionM, fittingsM } = lineLoss(line, flows[l]!, water, scale)
    frictions[l] = frictionM
    fittings[l] = tables.reduce((sum, table) => sum + tableLossM(table, flows[l]!), fittingsM)
  })
  return { frictionM: frictions, fittingsM: fittings }
}

/** The network as computed, and with each group of losses at either end of its band. */
export interface Banded {
  readonly ran: Ran
  readonly fittingsUp: Running
  readonly fittingsDown: Running
  readonly frictionUp: Running
  readonly frictionDown: Running
}

/** `known`: the same network's own answer, where it has been found already. */
export function runBanded(problem: NetworkProblem, known?: Ran): Banded {
  const network = makeNetwork(problem)
  const ran = known ?? run(network, AS_COMPUTED)
  const from = ran.running.flowsM3PerS
  const at = (scale: LossScale) => run(rescaled(network, scale), scale, from).running
  return {
    ran,
    fittingsUp: at({ friction: 1, fittings: 1 + FITTINGS_BAND }),
    fittingsDown: at({ friction: 1, fittings: 1 - FITTINGS_BAND }),
    frictionUp: at({ friction: 1 + FRICTION_BAND, fittings: 1 }),
    frictionDown: at({ friction: 1 - FRICTION_BAND, fittings: 1 }),
  }
}

/** Half width of a figure: half differences of each group, root sum of squares. */
export function halfWidth(banded: Banded, figure: (running: Running) => number): number {
  return Math.hypot(
    (figure(banded.fittingsUp) - figure(banded.fittingsDown)) / 2,
    (figure(banded.frictionUp) - figure(banded.frictionDown)) / 2,
  )
}
