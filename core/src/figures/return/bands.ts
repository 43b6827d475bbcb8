import type { Layout, PathPart } from '../../layout/index.ts'
import { Bands, type Moves, type Network, type SolvedNetwork } from '../../network/index.ts'
import { memoize } from '../../numeric/index.ts'

/** The network as it rests, with how far its figures may be off. */
export interface Banded {
  readonly solution: SolvedNetwork
  readonly network: Network
  /** null: it did not settle, and nothing is known. */
  readonly bands: Bands | null
}

/** A network that rests, with its bands. */
export function withBands(network: Network, solution: SolvedNetwork): Banded {
  const settled = solution.unsettledLinkId === null
  return { solution, network, bands: settled ? new Bands(network) : null }
}

/** Half width of a figure by how it moves; nil where nothing is known. */
export function halfWidth({ bands }: Banded, moves: Moves): number {
  return bands?.width(moves) ?? 0
}

/** The links of a way; no level moves them. */
const linksOf = memoize((path: readonly PathPart[]): readonly number[] =>
  path.flatMap(({ segments }) => segments.map(({ link }) => link)),
)

/** How the friction along a way moves: with each flow on it, and with its own spread. */
export function frictionMoves(banded: Banded, path: readonly PathPart[]): Moves {
  const links = linksOf(path)
  return {
    flows: frictionSlopes(banded, links, 1),
    losses: { links, kinds: ['friction'], pumps: false, by: 1 },
  }
}

/**
 * How all but the friction along a way moves: what its pump gives is spent on lift, friction and
 * fittings, so it is what the pump's head and the friction leave.
 */
export function fittingsMoves(
  banded: Banded,
  path: readonly PathPart[],
  pump: { readonly link: number; readonly slope: number },
): Moves {
  const links = linksOf(path)
  return {
    flows: [{ link: pump.link, by: pump.slope }, ...frictionSlopes(banded, links, -1)],
    losses: { links, kinds: ['friction'], pumps: true, by: -1 },
  }
}

function frictionSlopes(
  { solution }: Banded,
  links: readonly number[],
  sign: 1 | -1,
): { link: number; by: number }[] {
  const { flowsM3PerS, frictionSlopes: slopes } = solution.flows
  return links.map((link) => ({ link, by: sign * Math.sign(flowsM3PerS[link]!) * slopes[link]! }))
}

/** The link at a line's start: it carries all that goes into the line. */
export function firstLink({ segments }: Layout, lineIndex: number): number {
  return segments[lineIndex]![0]!.link
}
