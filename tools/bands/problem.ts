import { makeLine, type NetworkProblem } from '@yew-basin/core/lab'
import type { ThingLink, ThingNetwork } from './thing-network.ts'

/** A network's problem with every thing as it is computed. */
export function problemOf(network: ThingNetwork): NetworkProblem {
  return stated(
    network,
    network.links.map(({ frictions, fittings, pump }) => ({ frictions, fittings, pump })),
  )
}

/** What a draw changes of a link. */
export type Drawn = Pick<ThingLink, 'frictions' | 'fittings' | 'pump'>

/** A network with its links as they were drawn. */
export function stated(
  { nodes, links, water }: ThingNetwork,
  drawn: readonly Drawn[],
): NetworkProblem {
  return {
    nodes,
    water,
    tree: null,
    links: links.map(({ id, from, to, tables, oneWay, shut }, l) => {
      const { frictions, fittings, pump } = drawn[l]!
      return { id, from, to, tables, oneWay, shut, pump, line: makeLine(frictions, fittings) }
    }),
  }
}
