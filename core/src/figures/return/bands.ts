import {
  copyOf,
  type LossScale,
  type Network,
  type SolvedNetwork,
  solveWithLosses,
  type SolvedFlows,
} from '../../network/index.ts'

/** How well the losses are known (hydraulics reference, §3): fittings but exits ± 20 %, friction ± 5 %. */
export const FITTINGS_BAND = 0.2
/** Friction is known to this share (hydraulics reference, §3). */
export const FRICTION_BAND = 0.05

/** The network as computed, and with each group of losses at either end of its band. */
export interface Banded {
  readonly solution: SolvedNetwork
  readonly fittingsUp: SolvedFlows
  readonly fittingsDown: SolvedFlows
  readonly frictionUp: SolvedFlows
  readonly frictionDown: SolvedFlows
}

/** A network that rests, with each group of its losses at either end of its band; the network given stays as it is. */
export function solveBanded(given: Network, solution: SolvedNetwork): Banded {
  const network = copyOf(given)
  const here = solution.flows.flowsM3PerS
  const at = (scale: LossScale, from: number[]) => {
    network.scale = scale
    return solveWithLosses(network, from).flows
  }
  const fittingsUp = at({ friction: 1, fittings: 1 + FITTINGS_BAND }, here)
  const frictionUp = at({ friction: 1 + FRICTION_BAND, fittings: 1 }, here)
  return {
    solution,
    fittingsUp,
    fittingsDown: at({ friction: 1, fittings: 1 - FITTINGS_BAND }, across(here, fittingsUp)),
    frictionUp,
    frictionDown: at({ friction: 1 - FRICTION_BAND, fittings: 1 }, across(here, frictionUp)),
  }
}

/** As far from here as the other end of the band is, the other way: a first guess. */
function across(here: number[], { flowsM3PerS }: SolvedFlows): number[] {
  return here.map((flow, l) => 2 * flow - flowsM3PerS[l]!)
}

/** Half width of a figure: half differences of each group, root sum of squares. */
export function halfWidth(banded: Banded, figure: (flows: SolvedFlows) => number): number {
  const byFittings = (figure(banded.fittingsUp) - figure(banded.fittingsDown)) / 2
  const byFriction = (figure(banded.frictionUp) - figure(banded.frictionDown)) / 2
  // hypot() guards against overflow, which no flow comes near, at several times the cost.
  return Math.sqrt(byFittings * byFittings + byFriction * byFriction)
}
