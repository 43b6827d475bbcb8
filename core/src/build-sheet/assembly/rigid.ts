import type { BasinDesign } from '../../design/index.ts'
import { memoize } from '../../numeric/index.ts'
import { comesApart } from './comes-apart.ts'
import { acrossOf, type BuiltPart, isHeld, jointGraph, type JointGraph } from './graph.ts'
import { type SubAssembly, subAssemblies } from './sub-assemblies.ts'

/** A sub-assembly that is glued between points that can't move: it can't be put in, nor taken out. */
export interface RigidChain {
  readonly id: string
  /** The two points. */
  readonly fixed: readonly [BuiltPart, BuiltPart]
  /** All parts on the way from one to the other, by their places. */
  readonly between: readonly number[]
}

/** A bulkhead in its panel, a pump or a device where it stands, what is clipped. */
const isFixedPoint = (part: BuiltPart): boolean =>
  !part.isHalf && (isHeld(part) || part.body?.kind === 'pump' || part.body?.kind === 'device')

/** Every sub-assembly between two fixed points, but those that hold a thing that comes out one day: those are told of that thing. */
export const rigidChains = memoize((design: BasinDesign): readonly RigidChain[] => {
  const graph = jointGraph(design)
  const held = new Set(
    comesApart(design).flatMap(({ isFree, thing }) => (isFree ? [] : thing.parts)),
  )
  return subAssemblies(design).all.flatMap((piece): RigidChain[] => {
    const [a, b] = piece.parts.filter((at) => isFixedPoint(graph.parts[at]!))
    if (a === undefined || b === undefined || piece.parts.some((at) => held.has(at))) return []
    return [
      {
        id: piece.id,
        fixed: [graph.parts[a]!, graph.parts[b]!],
        between: wayBetween(graph, piece, a, b),
      },
    ]
  })
})

/** Parts from one to another through their sub-assembly, by the fewest joints. */
function wayBetween(
  { linksAt }: JointGraph,
  { parts }: SubAssembly,
  from: number,
  to: number,
): number[] {
  const own = new Set(parts)
  const cameFrom = new Map<number, number>([[from, from]])
  for (const at of cameFrom.keys())
    for (const link of linksAt[at]!) {
      const next = acrossOf(link, at)
      if (own.has(next) && !cameFrom.has(next)) cameFrom.set(next, at)
    }
  const way = [to]
  while (way.at(-1) !== from) way.push(cameFrom.get(way.at(-1)!)!)
  return way
}
