import type { BasinDesign } from '../../design/index.ts'
import { memoize } from '../../numeric/index.ts'
import type { Point } from '../../run/index.ts'
import { jointGraph, type Link } from '../assembly/graph.ts'
import { subAssemblies } from '../assembly/sub-assemblies.ts'
import { plumbingOf } from '../plumbing.ts'
import type { Joint } from '../joint.ts'
import { placesOf } from '../places.ts'
import type { BuiltRun } from '../route/body.ts'
import { HAND, type Tool, waysTo, WRENCH } from './ring.ts'
import { FITTING_SHARE, fittingRadiusOf, radiusOf, type Solid, solidsOf } from './solid.ts'
import { along, towards } from './space.ts'

/** What stands in one way to a joint. */
export interface WayIn {
  /** A panel, or what the joint itself joins: it is there whenever the joint is. */
  readonly isShut: boolean
  /** Parts in it that come later or sooner, by their places in the graph. */
  readonly parts: readonly number[]
  /** Boxes whose panels stand in it. */
  readonly panelsOf: readonly string[]
}

/** A joint that is made where it stands, and how a hand or a wrench gets to it. */
export interface JointReach {
  readonly link: Link
  /** A way with nothing in it is open whatever else stands. */
  readonly ways: readonly WayIn[]
}

/**
 * Joints that a tool is wanted at where they stand. What is pushed in dry is pulled by its pipe, wherever a
 * hand gets to that.
 */
const IN_PLACE: ReadonlySet<Link['kind']> = new Set(['union', 'barb', 'gasket'])
/** A bulkhead's nut sits this far outside of its panel, m (typical). */
const NUT_OFF_M = 0.02
/** And a hose's clamp so far from its fitting's middle (typical). */
const CLAMP_OFF_M = 0.03

/** A nut wants a wrench, a clamp a hand. */
export const toolFor = ({ kind }: Pick<Link, 'kind'>): Tool => (kind === 'barb' ? HAND : WRENCH)

/** Every joint of a design that is made where it stands, with what stands about it; made once. */
export const jointReaches = memoize((design: BasinDesign): readonly JointReach[] => {
  const graph = jointGraph(design)
  const { of } = subAssemblies(design)
  const solids = solidsOf(design)
  const places = placesOfJoints(design)
  return graph.links.flatMap((link): JointReach[] => {
    if (!IN_PLACE.has(link.kind) || isLiftedOut(design, link)) return []
    const where = places.get(link.id)
    if (!where) return []
    const own = new Set(link.ends)
    const joined = new Set(link.ends.flatMap((at) => of[at]?.parts ?? []))
    const about = solids.filter(({ parts }) => !parts.some((part) => own.has(part)))
    const ways = waysTo(where.at, { ...where, tool: toolFor(link) }, about)
    return [{ link, ways: ways.map((inIt) => wayIn(inIt, joined)) }]
  })
})

/** A pump on a hose is lifted out with it, and joined in the hand. */
function isLiftedOut(design: BasinDesign, { kind, ends }: Link): boolean {
  const { parts } = jointGraph(design)
  const { of } = subAssemblies(design)
  return (
    kind === 'barb' &&
    ends.some((end) => of[end]?.parts.some((at) => parts[at]!.body?.kind === 'pump'))
  )
}

function wayIn(solids: readonly Solid[], joined: ReadonlySet<number>): WayIn {
  const parts = solids.flatMap((solid) => solid.parts)
  const panelsOf = [...new Set(solids.flatMap(({ panelOf }) => panelOf ?? []))]
  return {
    isShut: panelsOf.length > 0 || parts.some((part) => joined.has(part)),
    parts: [...new Set(parts)],
    panelsOf,
  }
}

/** Is there no way to a joint, in whichever order things are put in? */
const isOutOfReach = ({ ways }: JointReach): boolean => ways.every(({ isShut }) => isShut)

/** Joints that no tool gets to, in whichever order things are put in; made once. */
export const outOfReach = memoize(
  (design: BasinDesign): ReadonlySet<string> =>
    new Set(jointReaches(design).flatMap((reach) => (isOutOfReach(reach) ? [reach.link.id] : []))),
)

/** Where a joint is, which way its pipe leads there, and how thick it is. */
interface PlaceOfJoint {
  readonly at: Point
  readonly axis: Point
  readonly radiusM: number
}

/** Of each joint, by its id. */
function placesOfJoints(design: BasinDesign): ReadonlyMap<string, PlaceOfJoint> {
  const { routes, joints } = plumbingOf(design)
  const byRoute = new Map(routes.map((route) => [route.id, { route, places: placesOf(route) }]))
  return new Map(
    joints.flatMap((joint) => {
      const { route, places } = byRoute.get(joint.routeId)!
      const i = route.bodies.findIndex(({ id }) => id === joint.bodyId)
      return i < 0 ? [] : [[joint.id, placeOf(joint, route, places, i)] as const]
    }),
  )
}

function placeOf(
  { side, kind }: Joint,
  { of, bodies }: BuiltRun,
  places: readonly Point[],
  i: number,
): PlaceOfJoint {
  const [body, at] = [bodies[i]!, places[i]!]
  const [before, after] = [places[i - 1] ?? at, places[i + 1] ?? at]
  if (kind === 'gasket') {
    // The nut is outside of the tank: where a drain goes on, where a return line comes from.
    const axis = towards(at, of === 'drain' ? after : before)
    return { at: along(at, axis, NUT_OFF_M), axis, radiusM: fittingRadiusOf(body) }
  }
  const isBefore = side === 'before' || i === places.length - 1
  const axis = towards(at, isBefore ? before : after)
  if (kind !== 'barb') return { at, axis, radiusM: fittingRadiusOf(body) }
  const { size } = isBefore ? body.before : body.after
  return { at: along(at, axis, CLAMP_OFF_M), axis, radiusM: FITTING_SHARE * radiusOf(size) }
}
