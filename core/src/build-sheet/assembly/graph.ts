import type { BasinDesign } from '../../design/index.ts'
import { memoize } from '../../numeric/index.ts'
import type { EndKind, Point } from '../../run/index.ts'
import type { Joint, JointSide } from '../joint.ts'
import { type Plumbing, plumbingOf } from '../plumbing.ts'
import type { Body, BuiltRun } from '../route/body.ts'

/** A piece in the hand: a fitting or a half of one, a length of pipe or hose, an adapter, a panel. */
export interface BuiltPart {
  readonly id: string
  readonly routeId: string
  /** The fitting, port or end that it is; null: pipe, or an adapter. */
  readonly body: Body | null
  /** It is a half of that, with a union between it and the rest; the rest, or all of it, is none. */
  readonly isHalf: boolean
  /** The pipe or hose that it is; null: none. */
  readonly segmentId: string | null
  /** A panel of a tank or box, that a bulkhead sits in. */
  readonly isPanel: boolean
  /** The drawn pieces that it is or is made of; an adapter or a panel is none. */
  readonly pieceIds: readonly string[]
  readonly at: Point
}

/** A joint between two parts. */
export interface Link {
  /** The joint's. */
  readonly id: string
  readonly kind: EndKind
  readonly side: JointSide
  /** Places of its two parts. */
  readonly ends: readonly [number, number]
  readonly at: Point
}

/** Every part of a design, and the joints between them. */
export interface JointGraph {
  readonly parts: readonly BuiltPart[]
  readonly links: readonly Link[]
  /** Of each part: the links that it hangs on. */
  readonly linksAt: readonly (readonly Link[])[]
}

/** Joints that are for good: what they join is one piece from then on. */
export const FOR_GOOD: ReadonlySet<EndKind> = new Set(['glued', 'threaded', 'spigot'])

/** Is it held where it is, in a panel or by a clip? What is glued to it is glued there. */
export const isHeld = ({ body }: BuiltPart): boolean =>
  body !== null && (body.isClipped || body.kind === 'bulkhead')

/** The part at a link's other end. */
export const acrossOf = ({ ends: [a, b] }: Link, part: number): number => (a === part ? b : a)

/** Puts the parts and joints of a design together; made once. */
export const jointGraph = memoize((design: BasinDesign): JointGraph =>
  new GraphMaker(design).make(plumbingOf(design)),
)

/** Parts reached from some by links that may be passed. */
export function flood(
  { linksAt }: JointGraph,
  from: readonly number[],
  mayPass: (link: Link, to: number) => boolean,
): Set<number> {
  const found = new Set(from)
  for (const at of found)
    for (const link of linksAt[at]!) {
      const to = acrossOf(link, at)
      if (!found.has(to) && mayPass(link, to)) found.add(to)
    }
  return found
}

class GraphMaker {
  private readonly parts: BuiltPart[] = []
  private readonly links: Link[] = []
  private readonly places = new Map<string, number>()

  constructor(private readonly design: BasinDesign) {}

  make({ routes, joints }: Plumbing): JointGraph {
    const byRoute = new Map(routes.map((route) => [route.id, route]))
    for (const joint of joints) this.join(joint, byRoute.get(joint.routeId)!)
    // What hangs on nothing is a part all the same.
    for (const route of routes)
      for (const body of route.bodies)
        if (body.kind !== 'open-end') this.bodyPart(route, body, 'middle')
    const linksAt: Link[][] = this.parts.map(() => [])
    for (const link of this.links) for (const end of link.ends) linksAt[end]!.push(link)
    return { parts: this.parts, links: this.links, linksAt }
  }

  private join(joint: Joint, route: BuiltRun): void {
    const body = route.bodies.find(({ id }) => id === joint.bodyId)
    // A coupling's sockets: the pipe they join is one part here.
    if (!body) return
    const { side, segmentId, adapterAt } = joint
    if (segmentId === null) return this.joinHalves(joint, route, body)
    const fitting = () => this.bodyPart(route, body, side)
    const pipe = () => this.segmentPart(route, segmentId)
    if (adapterAt === null) return this.link(joint, fitting(), pipe())
    const adapter = this.part(`${route.id} ${body.id} ${side} adapter`, {
      ...EMPTY,
      routeId: route.id,
      at: body.at,
    })
    this.link(joint, adapterAt === 'fitting' ? fitting() : pipe(), adapter)
  }

  /** A union's nut, those of a true union, a device's port unions, a bulkhead's gasket. */
  private joinHalves(joint: Joint, route: BuiltRun, body: Body): void {
    const own = (side: JointSide) => this.bodyPart(route, body, side)
    if (joint.side === 'before') return this.link(joint, own('before'), own('middle'))
    if (joint.side === 'after') return this.link(joint, own('middle'), own('after'))
    if (joint.side === 'middle') return this.link(joint, own('before'), own('after'))
    const panel = { ...EMPTY, routeId: route.id, at: body.at, isPanel: true }
    this.link(joint, own('middle'), this.part(`panel ${body.id}`, panel))
  }

  private link({ id, kind, side, at }: Joint, a: number, b: number): void {
    this.links.push({ id, kind, side, ends: [a, b], at })
  }

  private part(id: string, what: Omit<BuiltPart, 'id'>): number {
    const known = this.places.get(id)
    if (known !== undefined) return known
    this.places.set(id, this.parts.length)
    return this.parts.push({ id, ...what }) - 1
  }

  /** A fitting, or the half of it on one side where it comes apart. */
  private bodyPart(route: BuiltRun, body: Body, side: JointSide): number {
    const id = this.nameOf(route, body)
    // A union has no middle: its halves are all of it.
    const half = body.kind === 'union' && side === 'middle' ? 'before' : side
    const isHalf = hasHalves(body) && half !== 'middle'
    return this.part(isHalf ? `${id} ${half}` : id, {
      ...EMPTY,
      routeId: route.id,
      body,
      isHalf,
      pieceIds: body.pieceId ? [body.pieceId] : [],
      at: body.at,
    })
  }

  /** A leg is the tee it meets, in whichever run that is; a pump is one thing however many lines begin at it. */
  private nameOf(route: BuiltRun, { id, kind }: Body): string {
    if (kind !== 'pump' && kind !== 'leg') return id
    const line = this.design.returnSide.lines.find((other) => other.id === route.id)
    if (kind === 'pump') return `pump ${line!.start.id}`
    const drain = this.design.drains.find((other) => other.id === route.id)
    if (!line) return drain!.end.id
    return id === `${line.id}-start` ? line.start.id : line.end.id!
  }

  /** The pipe between two bodies; where a spigot stands there, the fitting that it is of. */
  private segmentPart(route: BuiltRun, segmentId: string): number {
    const i = route.segments.findIndex(({ id }) => id === segmentId)
    const [from, to] = [route.bodies[i]!, route.bodies[i + 1]!]
    const isOut = from.after.kind === 'spigot'
    if (route.segments[i]!.kind === 'pipe' && isOut !== (to.before.kind === 'spigot'))
      return isOut ? this.bodyPart(route, from, 'after') : this.bodyPart(route, to, 'before')
    const at = {
      xM: (from.at.xM + to.at.xM) / 2,
      yM: (from.at.yM + to.at.yM) / 2,
      zM: (from.at.zM + to.at.zM) / 2,
    }
    const { pieceIds } = route.segments[i]!
    return this.part(`${route.id} ${segmentId}`, {
      ...EMPTY,
      routeId: route.id,
      segmentId,
      pieceIds,
      at,
    })
  }
}

const EMPTY = {
  body: null,
  isHalf: false,
  segmentId: null,
  isPanel: false,
  pieceIds: [],
} as const

/** Does a fitting have halves of its own that are undone? */
const hasHalves = ({ kind, isTrueUnion, before }: Body): boolean =>
  kind === 'union' || isTrueUnion || (kind === 'device' && before.kind === 'union')
