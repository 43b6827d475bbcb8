import type { Layout } from '../../layout/index.ts'
import {
  type LinkPump,
  makeNetwork,
  type NetworkLink,
  solveWithLosses,
  type SolvedFlows,
} from '../../network/index.ts'
import { type PumpCurve, pumpHeadM } from '../../pump/index.ts'

/** Steepness of a held flow, s/m²: 1 m of head shifts it by 0.004 L/h. */
const HOLD_S_PER_M2 = 1e9

/** A flow that a link must carry. */
export interface Held {
  readonly link: number
  readonly flowM3PerS: number
}

/** What it takes to hold the flows: the head each held link must lose more than it does; negative: gain. */
export interface Holding {
  readonly flows: SolvedFlows
  readonly extraLossM: readonly number[]
  readonly settled: boolean
}

/**
 * The network with some links made to carry given flows, whatever head that takes: each gets a
 * pump whose head is so steep about its flow that it gives that flow and nothing else.
 */
export function holdFlows(
  layout: Layout,
  links: readonly NetworkLink[],
  held: readonly Held[],
): Holding {
  const changed = links.map((link, l) => {
    const hold = held.find((given) => given.link === l)
    return hold ? { ...link, shut: false, pump: holdingPump(link.pump, hold.flowM3PerS) } : link
  })
  const problem = { ...layout.problem, links: changed, tree: null }
  const { flows, unsettledLinkId } = solveWithLosses(makeNetwork(problem))
  return {
    flows,
    extraLossM: held.map(({ link, flowM3PerS }) => {
      const flow = flows.flowsM3PerS[link]!
      return HOLD_S_PER_M2 * (flow - flowM3PerS)
    }),
    settled: unsettledLinkId === null,
  }
}

function holdingPump(own: LinkPump | null, flowM3PerS: number): LinkPump {
  const base = (flow: number) => (own && !own.stopped ? pumpHeadM(own.curve, flow, own.speed) : 0)
  const slope = (flow: number) =>
    own && !own.stopped ? own.speed * own.curve.slopeAtFullSpeed(flow / own.speed) : 0
  const curve: PumpCurve = {
    shutOffHeadM: base(0) + HOLD_S_PER_M2 * flowM3PerS,
    freeFlowM3PerS: flowM3PerS,
    knownToM3PerS: flowM3PerS,
    twoNumber: false,
    headAtFullSpeedM: (flow) => base(flow) + HOLD_S_PER_M2 * (flowM3PerS - flow),
    slopeAtFullSpeed: (flow) => slope(flow) - HOLD_S_PER_M2,
  }
  return { curve, outletBoreM: own?.outletBoreM ?? 0.02, speed: 1, stopped: false }
}
