import type { BasinDesign } from '../../design/index.ts'
import { memoize } from '../../numeric/index.ts'
import { flood, FOR_GOOD, jointGraph, type Link } from './graph.ts'

/** Parts that are one piece once they are glued and screwed; bounded by unions, barbs, gaskets and dry fits. */
export interface SubAssembly {
  readonly id: string
  /** Places in the graph. */
  readonly parts: readonly number[]
  readonly threads: readonly Link[]
  readonly glue: readonly Link[]
}

/** Sub-assemblies of a design, and of each part the one that it is in. */
export interface Pieces {
  readonly all: readonly SubAssembly[]
  /** By a part's place in the graph; a panel is in none. */
  readonly of: readonly (SubAssembly | undefined)[]
}

/** Every sub-assembly of a design, in the order of the water; a part that nothing is glued to is one by itself. */
export const subAssemblies = memoize((design: BasinDesign): Pieces => {
  const graph = jointGraph(design)
  const taken = new Set<number>()
  const all = graph.parts.flatMap(({ isPanel }, at): SubAssembly[] => {
    if (taken.has(at) || isPanel) return []
    const parts = [...flood(graph, [at], ({ kind }) => FOR_GOOD.has(kind))]
    for (const part of parts) taken.add(part)
    const links = [...new Set(parts.flatMap((part) => graph.linksAt[part]!))].filter(({ kind }) =>
      FOR_GOOD.has(kind),
    )
    return [
      {
        id: `piece ${graph.parts[at]!.id}`,
        parts,
        threads: links.filter(({ kind }) => kind === 'threaded'),
        glue: links.filter(({ kind }) => kind !== 'threaded'),
      },
    ]
  })
  const of: (SubAssembly | undefined)[] = graph.parts.map(() => undefined)
  for (const piece of all) for (const at of piece.parts) of[at] = piece
  return { all, of }
})
