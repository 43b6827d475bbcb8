import { partName, type RigidChain, rigidChains } from '../../build-sheet/index.ts'
import type { BasinDesign } from '../../design/index.ts'
import { sentence } from '../../quantity/index.ts'
import type { Whole } from '../case/whole.ts'
import { type Case, factIf, rule } from '../rule.ts'
import type { Station } from '../severity.ts'

/** A sub-assembly between two points that can't move. */
export interface ChainCase extends Case {
  readonly design: BasinDesign
  readonly chain: RigidChain
  readonly station: Station
}

/** Every such sub-assembly of a design. */
export function chainCases({ design }: Whole): ChainCase[] {
  return rigidChains(design).map((chain) => {
    const { routeId } = chain.fixed[0]
    const isDrain = design.drains.some(({ id }) => id === routeId)
    return {
      design,
      chain,
      station: isDrain ? 'drains' : 'return',
      where: isDrain ? { drainId: routeId } : { lineId: routeId },
    }
  })
}

/** Pipe glued from one fixed point to another can't be put in, nor taken out. */
export const gluedBetweenFixed = rule({
  code: 'glued-between-fixed',
  station: 'own',
  severities: ['stop'],
  holds:
    'Pipe is glued between two points that can’t move (bulkheads, pumps, devices, clips), with no union, hose or dry fit between.',
  condition: ({ chain }: ChainCase) => factIf(chain),
  title: ({ design }, { fixed: [a] }) =>
    sentence('Glued in between two fixed points, from {from}', { from: partName(design, a) }),
  reason: ({ design }, { fixed: [a, b] }) =>
    sentence(
      'From {from} to {to} all is glued or screwed: neither end gives, so it can’t be put in without strain, nor taken out whole.',
      { from: partName(design, a), to: partName(design, b) },
    ),
  where: (_, { fixed: [a] }) => ({ pieceId: a.body?.pieceId ?? null }),
})
