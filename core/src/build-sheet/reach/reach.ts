import type { BasinDesign } from '../../design/index.ts'
import { memoize } from '../../numeric/index.ts'
import type { Point } from '../../run/index.ts'
import { jointGraph, type Link } from '../assembly/graph.ts'
import { subAssemblies } from '../assembly/sub-assemblies.ts'
import { plumbingOf } from '../plumbing.ts'
import { placesOf } from '../places.ts'
import { HAND, waysTo, WRENCH } from './ring.ts'
import { FITTING_SHARE, fittingRadiusOf, radiusOf, type Solid, solidsOf } from './solid.ts'

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
  readonly tool: 'hand' | 'wrench'
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

/** Every joint of a design that is made where it stands, with what stands about it; made once. */
export const jointReaches = memoize((design: BasinDesign): readonly JointReach[] => {
  const graph = jointGraph(design)
  const { of } = subAssemblies(design)
  const solids = solidsOf(design)
  const places = new PlacesOfJoints(design)
  return graph.links.flatMap((link): JointReach[] => {
    if (!IN_PLACE.has(link.kind) || isLiftedOut(design, link)) return []
    const where = places.of(link)
    if (!where) return []
    const isNut = link.kind === 'union' || link.kind === 'gasket'
    const own = new Set(link.ends)
    const joined = new Set(link.ends.flatMap((at) => of[at]?.parts ?? []))
    const about = solids.filter(({ parts }) => !parts.some((part) => own.has(part)))
    const ways = waysTo(where.at, { ...where, tool: isNut ? WRENCH : HAND }, about)
    return [
      {
        link,
        tool: isNut ? 'wrench' : 'hand',
        ways: ways.map((inIt) => wayIn(inIt, joined)),
      },
    ]
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
export const isOutOfReach = ({ ways }: JointReach): boolean => ways.every(({ isShut }) => isShut)

/** Joints that no tool gets to, in whichever order things are put in; made once. */
export const outOfReach = memoize(
  (design: BasinDesign): ReadonlySet<string> =>
    new Set(jointReaches(design).flatMap((reach) => (isOutOfReach(reach) ? [reach.link.id] : []))),
)

/** Where joints are, and which way their pipe leads there. */
class PlacesOfJoints {
  private readonly known = new Map<string, { at: Point; axis: Point; radiusM: number }>()

  constructor(design: BasinDesign) {
    const { routes, joints } = plumbingOf(design)
    for (const route of routes) {
      const places = placesOf(route)
      const numbers = new Map(route.bodies.map(({ id }, i) => [id, i]))
      for (const joint of joints) {
        if (joint.routeId !== route.id) continue
        const i = numbers.get(joint.bodyId)
        if (i === undefined) continue
        const body = route.bodies[i]!
        const at = places[i]!
        const isBefore = joint.side === 'before' || i === places.length - 1
        const axis = towards(at, places[isBefore ? i - 1 : i + 1] ?? at)
        const end = body[isBefore ? 'before' : 'after']
        const radiusM =
          joint.kind === 'barb' ? FITTING_SHARE * radiusOf(end.size) : fittingRadiusOf(body)
        // The nut is outside of the tank: where a drain goes on, where a return line comes from.
        const out =
          route.of === 'drain' ? towards(at, places[i + 1] ?? at) : towards(at, places[i - 1] ?? at)
        this.known.set(joint.id, {
          at:
            joint.kind === 'gasket'
              ? moved(at, out, NUT_OFF_M)
              : joint.kind === 'barb'
                ? moved(at, axis, CLAMP_OFF_M)
                : at,
          axis: joint.kind === 'gasket' ? out : axis,
          radiusM,
        })
      }
    }
  }

  of({ id }: Link) {
    return this.known.get(id) ?? null
  }
}

function towards(from: Point, to: Point): Point {
  const [xM, yM, zM] = [to.xM - from.xM, to.yM - from.yM, to.zM - from.zM]
  const long = Math.hypot(xM, yM, zM)
  return long === 0 ? { xM: 0, yM: 0, zM: 1 } : { xM: xM / long, yM: yM / long, zM: zM / long }
}

const moved = (from: Point, along: Point, byM: number): Point => ({
  xM: from.xM + along.xM * byM,
  yM: from.yM + along.yM * byM,
  zM: from.zM + along.zM * byM,
})
