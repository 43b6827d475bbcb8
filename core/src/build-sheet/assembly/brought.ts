import type { BasinDesign } from '../../design/index.ts'
import { FOR_GOOD, isHeld, jointGraph } from './graph.ts'
import { laidFirst } from './laid-first.ts'
import { subAssemblies } from './sub-assemblies.ts'

/** Which steps bring each part to where it stands, by their ids; what is glued on the bench comes with its first joint. */
export function broughtBy(design: BasinDesign): (part: number) => readonly string[] {
  const graph = jointGraph(design)
  const { of } = subAssemblies(design)
  const laid = new Set(laidFirst(design).map(({ piece }) => piece))
  return (part) => {
    const piece = of[part]
    if (!piece) return []
    const gasket = graph.linksAt[part]!.find(({ kind }) => kind === 'gasket')
    if (gasket) return [`bulkhead ${gasket.id}`]
    if (laid.has(piece)) return [`lay ${piece.id}`]
    const own = piece.parts.map((at) => graph.parts[at]!)
    if (own.some(isHeld)) return [`screw ${piece.id}`, `glue ${piece.id}`]
    const pump = own.find(({ body }) => body?.kind === 'pump')
    return [
      ...(pump ? [`place ${pump.id}`] : []),
      ...piece.parts.flatMap((at) =>
        graph.linksAt[at]!.filter(({ kind }) => !FOR_GOOD.has(kind) && kind !== 'gasket').map(
          ({ id }) => `join ${id}`,
        ),
      ),
    ]
  }
}
