import type { BasinDesign } from '../../design/index.ts'
import { memoize } from '../../numeric/index.ts'
import { plumbingOf } from '../plumbing.ts'
import { outOfReach } from '../reach/reach.ts'
import {
  acrossOf,
  flood,
  FOR_GOOD,
  type JointGraph,
  jointGraph,
  type Link,
  type BuiltPart,
} from './graph.ts'
import { type Thing, thingsOf } from './things.ts'
import { type RunsOut, runsOutOf } from './runs-out.ts'

/** Can a thing come out again, by what, and what runs out meanwhile? */
export interface ComesApart extends RunsOut {
  readonly thing: Thing
  /** Nothing holds it that can't be undone. */
  readonly isFree: boolean
  /** Joints to undo: all of them, and none that need not be. */
  readonly undo: readonly Link[]
  /** What it is joined to for good: panels, pumps, devices, clips. */
  readonly heldBy: readonly BuiltPart[]
  /** Joints that would let it go, but that no tool gets to; none where nothing holds it. */
  readonly unreached: readonly Link[]
}

/** Every thing of a design, in the order of the water; made once. */
export const comesApart = memoize((design: BasinDesign): readonly ComesApart[] => {
  const graph = jointGraph(design)
  const holds = holdsOf(design, graph)
  return thingsOf(design).map((thing) => {
    const found = thing.parts.map((part) => freeing(graph, holds, part))
    const undo = [...new Set(found.flatMap((each) => each.undo))]
    const heldBy = [...new Set(found.flatMap((each) => each.heldBy))].map((at) => graph.parts[at]!)
    const goes = new Set(found.flatMap((each) => [...each.goes]))
    return {
      thing,
      isFree: heldBy.length === 0,
      undo,
      heldBy,
      unreached: heldBy.length === 0 ? [] : linksIn(graph, goes, holds.unreached),
      ...runsOutOf(design, graph, { undo, goes }),
    }
  })
})

/** What holds things in their place. */
export interface Holds {
  /** Panels, pumps, devices, clips: parts that stand where they are. */
  readonly fixed: ReadonlySet<number>
  /** Pipe that hangs in a tank or stands in a chamber: it comes along with what it is joined to, and holds what it is not. */
  readonly ends: ReadonlySet<number>
  /** Joints, by their ids, that could be undone if a tool got to them. */
  readonly unreached: ReadonlySet<string>
}

/** Is it joined for good, or as good as that? */
const isForGood = ({ unreached }: Holds, { kind, id }: Link) =>
  FOR_GOOD.has(kind) || unreached.has(id)

/** The parts of a graph that hold. */
export function holdsOf(design: BasinDesign, { parts }: JointGraph): Holds {
  const fixed = new Set<number>()
  const ends = new Set<number>()
  const last = new Map(
    plumbingOf(design).routes.map(({ id, bodies, segments }) => [
      id,
      { body: bodies.at(-1)!, segmentId: segments.at(-1)?.id },
    ]),
  )
  parts.forEach(({ body, isHalf, isPanel, routeId, segmentId }, at) => {
    if (isPanel || body?.isClipped) fixed.add(at)
    if (body?.kind === 'pump') fixed.add(at)
    // Its port unions' halves are no part of what stands there.
    if (body?.kind === 'device' && !isHalf) fixed.add(at)
    const end = last.get(routeId)
    if (body?.kind === 'nozzle') ends.add(at)
    if (segmentId !== null && end?.body.kind === 'open-end' && end.segmentId === segmentId)
      ends.add(at)
  })
  return { fixed, ends, unreached: outOfReach(design) }
}

/** Links inside of a piece that could be undone if a tool got to them. */
const linksIn = (
  { links }: JointGraph,
  piece: ReadonlySet<number>,
  unreached: ReadonlySet<string>,
) => links.filter(({ id, ends }) => unreached.has(id) && ends.every((at) => piece.has(at)))

/** What lets a part go. */
interface Freeing {
  readonly undo: readonly Link[]
  readonly heldBy: readonly number[]
  /** All that goes with it, being joined to it for good. */
  readonly goes: ReadonlySet<number>
}

/** What one part wants undone, and what it is joined to for good or by what no tool gets to; parts by their places. */
export function freeing(graph: JointGraph, own: Holds, part: number): Freeing {
  const { fixed, ends } = own
  const piece = flood(graph, [part], (link) => isForGood(own, link))
  const heldBy = [...piece].filter((at) => at !== part && fixed.has(at))
  const holds = (at: number) => !piece.has(at) && (fixed.has(at) || ends.has(at))
  const undo = [...piece].flatMap((at) =>
    graph.linksAt[at]!.filter((link) => {
      const other = acrossOf(link, at)
      if (piece.has(other)) return false
      // Only what leads on to something that holds needs undoing; the rest comes along.
      return [...flood(graph, [other], (_, to) => !piece.has(to))].some(holds)
    }),
  )
  return { undo, heldBy, goes: piece }
}

/** A drawn pipe that a thing is joined to for good. */
export interface GluedPipe {
  readonly routeId: string
  readonly pieceId: string
  readonly lengthM: number
  /** Of its middle over the room's floor. */
  readonly heightM: number
}

/** Every drawn pipe between a thing and what it is joined to for good. */
export function gluedPipesOf(design: BasinDesign, { parts: own }: Thing): GluedPipe[] {
  const graph = jointGraph(design)
  const holds = holdsOf(design, graph)
  const held = own.filter((part) => freeing(graph, holds, part).heldBy.length > 0)
  return pipesAmong(
    design,
    flood(graph, held, (link) => isForGood(holds, link)),
  )
}

/** Of some parts, the drawn pipes. */
export function pipesAmong(design: BasinDesign, parts: Iterable<number>): GluedPipe[] {
  const graph = jointGraph(design)
  const { routes } = plumbingOf(design)
  return [...parts].flatMap((at): GluedPipe[] => {
    const { routeId, segmentId, at: place } = graph.parts[at]!
    const segment = routes
      .find(({ id }) => id === routeId)
      ?.segments.find(({ id }) => id === segmentId)
    return (segment?.pieceIds ?? []).map((pieceId) => ({
      routeId,
      pieceId,
      lengthM: segment!.lengthM,
      heightM: place.zM,
    }))
  })
}
