import type { BasinDesign } from '../../design/index.ts'
import { memoize } from '../../numeric/index.ts'
import { plumbingOf } from '../plumbing.ts'
import { jointGraph } from './graph.ts'
import { type SubAssembly, subAssemblies } from './sub-assemblies.ts'

/** A sub-assembly that something is glued or screwed in, as it is spoken of. */
export interface NamedSubAssembly {
  readonly id: string
  /** "S2 Main line, Manifold": a number in the order of the water, and the runs it is of. */
  readonly name: string
  readonly partIds: readonly string[]
  /** Joints that are for good in it. */
  readonly joints: number
}

/** Every sub-assembly of a design that has a joint for good; made once. */
export const namedSubAssemblies = memoize((design: BasinDesign): readonly NamedSubAssembly[] => {
  const { parts } = jointGraph(design)
  const names = new Map(plumbingOf(design).routes.map(({ id, name }) => [id, name]))
  return subAssemblies(design)
    .all.filter(({ threads, glue }) => threads.length + glue.length > 0)
    .map((piece, i) => {
      const routeIds = new Set(piece.parts.map((at) => parts[at]!.routeId))
      return {
        id: piece.id,
        name: `S${i + 1} ${[...routeIds].map((id) => names.get(id)!).join(', ')}`,
        partIds: piece.parts.map((at) => parts[at]!.id),
        joints: piece.threads.length + piece.glue.length,
      }
    })
})

/** What a sub-assembly with a joint for good is called. */
export function nameOfPiece(design: BasinDesign, { id }: SubAssembly): string {
  return namedSubAssemblies(design).find((piece) => piece.id === id)!.name
}
