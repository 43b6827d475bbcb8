import type { Water } from '../fluid/index.ts'
import type { Pchip } from '../numeric/index.ts'
import type { PumpCurve } from '../pump/index.ts'
import type { NetworkTee } from './graph.ts'
import type { Line } from './line.ts'
import type { Tree } from './tree.ts'

/** A place where links meet: a surface or an end in air with a known head, or a tee with a head to be found. */
export interface NetworkNode {
  readonly id: string
  /** null: a tee, or the capped end of a link. */
  readonly headM: number | null
  readonly tee: NetworkTee | null
}

/** The pump in a link; it pushes from the link's `from` to its `to`. */
export interface LinkPump {
  readonly curve: PumpCurve
  readonly outletBoreM: number
  readonly speed: number
  /** Stands still: an open pipe with a K of its own. */
  readonly stopped: boolean
}

/** Pipe, fittings and perhaps a pump between two nodes. Flow is positive from `from` to `to`. */
export interface NetworkLink {
  readonly id: string
  /** Places in the list of nodes. */
  readonly from: number
  readonly to: number
  readonly line: Line
  /** Head loss of devices against the size of the flow, m at m³/s; each starts at zero. */
  readonly tables: readonly Pchip[]
  readonly pump: LinkPump | null
  /** A check valve, or an end in air: nothing comes back. */
  readonly oneWay: boolean
  /** A shut valve or a cap: nothing passes. */
  readonly shut: boolean
}

/** All heads and flows to be found at once. */
export interface NetworkProblem {
  readonly nodes: readonly NetworkNode[]
  readonly links: readonly NetworkLink[]
  readonly water: Water
  /** The same links and nodes sorted into trees, where that was done before; null: not yet. */
  readonly tree: Tree | null
}

/** Flows of all links, m³/s, and heads of all nodes, m. */
export interface NetworkSolution {
  /** One a link, m³/s. */
  readonly flowsM3PerS: number[]
  /** One a node, m: a tee's is its common leg's; NaN where a node is cut off from every known head. */
  readonly headsM: number[]
}

/** The search did not settle, or ran away; `linkId` is the link furthest from its balance. */
export interface NetworkFailure {
  readonly ok: false
  readonly reason: 'too-many-iterations' | 'ran-away'
  readonly linkId: string
  readonly iterations: number
}

/** The same problem with another pump in one link. */
export function withPumpAt(problem: NetworkProblem, link: number, pump: LinkPump): NetworkProblem {
  const links = problem.links.map((networkLink, l) =>
    l === link ? { ...networkLink, pump } : networkLink,
  )
  return { ...problem, links }
}
