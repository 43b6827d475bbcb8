import { flatMap } from '../numeric/index.ts'
import type { EndKind, Point } from '../run/index.ts'
import { type Adapter, type Meeting, meetingOf } from './adapter.ts'
import type { Cut } from './cuts.ts'
import type { Body, BodyEnd, BuiltRun, Span } from './route/body.ts'

/** Where on its body a joint is: the end that water comes in or leaves by, between two halves of it, or at the panel it sits in. */
export type JointSide = 'before' | 'after' | 'middle' | 'panel'

/** Two halves that are put together by hand. */
export interface Joint {
  readonly id: string
  readonly routeId: string
  readonly kind: EndKind
  /** The body and the segment that meet; a bulkhead's gasket and a union's own joint have the body alone. */
  readonly bodyId: string
  readonly segmentId: string | null
  readonly side: JointSide
  /** Both halves have what they need, an adapter counted in. */
  readonly isWhole: boolean
  /** Put in where the halves do not meet by themselves; two joints then share it. */
  readonly adapter: Adapter | null
  /** Which of an adapter's two joints it is: at the fitting, or at the pipe; null: no adapter is there. */
  readonly adapterAt: 'fitting' | 'pipe' | null
  /** A hose pulled over a larger barb. */
  readonly isStretched: boolean
  readonly isAssumed: boolean
  readonly at: Point
  /** To light up in the drawing. */
  readonly pieceIds: readonly string[]
}

/** Every joint of a route, in the order of the water. */
export function jointsOf(route: BuiltRun): Joint[] {
  return flatMap(route.bodies, (body, i) => {
    const before = route.segments[i - 1]
    const after = route.segments[i]
    return [
      ...(before ? jointsAt(route, body, before, 'before') : []),
      ...ownJoints(route, body),
      ...(after ? jointsAt(route, body, after, 'after') : []),
    ]
  })
}

/** A joint of which nothing is out of the ordinary. */
const PLAIN = { isWhole: true, adapter: null, adapterAt: null, isStretched: false } as const

/** Both sockets of every coupling where stock ends within a piece. */
export function couplingJoints(routes: readonly BuiltRun[], cuts: readonly Cut[]): Joint[] {
  return cuts.flatMap(({ routeId, segmentId, parts, pieceIds }) => {
    const route = routes.find(({ id }) => id === routeId)!
    const at = route.bodies[route.segments.findIndex(({ id }) => id === segmentId)]!.at
    const names = Array.from(
      { length: Math.max(0, parts - 1) },
      (_, k) => `${segmentId}-coupling-${k + 1}`,
    )
    return names.flatMap((bodyId) =>
      (['before', 'after'] as const).map((side): Joint => ({
        ...PLAIN,
        id: `${routeId}:${bodyId}:${side}`,
        routeId,
        kind: 'glued',
        bodyId,
        segmentId,
        side,
        isAssumed: true,
        at,
        pieceIds,
      })),
    )
  })
}

/** Bodies that an open pipe ends at: nothing is joined there. */
const isOpen = ({ kind }: Body) => kind === 'open-end'

function jointsAt(route: BuiltRun, body: Body, segment: Span, side: 'before' | 'after'): Joint[] {
  if (isOpen(body)) return []
  const end = body[side]
  const spigot = spigotBeside(route, body, side)
  if (end.kind === 'spigot' && spigot === 'own') return []
  const meeting = spigot === 'neighbour' ? socketOf(end, segment) : meetingOf(end, segment.size)
  const at = {
    ...PLAIN,
    id: `${route.id}:${body.id}:${side}`,
    routeId: route.id,
    bodyId: body.id,
    segmentId: segment.id,
    side,
    isAssumed: body.isAssumed,
    at: body.at,
    pieceIds: [...(body.pieceId ? [body.pieceId] : []), ...segment.pieceIds],
  }
  // A union's half is glued to its pipe; what is undone is the union's own joint.
  const kind = end.kind === 'union' && segment.kind === 'pipe' ? 'glued' : end.kind
  if (meeting.kind === 'direct') return [{ ...at, kind, isStretched: meeting.isStretched }]
  if (meeting.kind === 'none') return [{ ...at, kind, isWhole: false }]
  const { adapter } = meeting
  const fitting: Joint = { ...at, kind, adapter, adapterAt: 'fitting' }
  const pipe: Joint = {
    ...at,
    id: `${at.id}-adapter`,
    kind: adapter.to.kind,
    adapter,
    adapterAt: 'pipe',
  }
  return side === 'before' ? [pipe, fitting] : [fitting, pipe]
}

/** Whose spigot stands between a body and the next; both or neither: none that could go in. */
function spigotBeside(
  { bodies }: BuiltRun,
  body: Body,
  side: 'before' | 'after',
): 'own' | 'neighbour' | null {
  const at = bodies.indexOf(body)
  const beside = side === 'before' ? bodies[at - 1]!.after : bodies[at + 1]!.before
  const [own, other] = [body[side].kind === 'spigot', beside.kind === 'spigot']
  if (own === other) return null
  return own ? 'own' : 'neighbour'
}

/** A socket that a spigot of the run's size goes into. */
function socketOf({ kind, size: own }: BodyEnd, { size }: Span): Meeting {
  const isSocket = kind === 'glued' || kind === 'union'
  const fits = own.series === size.series && own.size === size.size
  return isSocket && fits ? { kind: 'direct', isStretched: false } : { kind: 'none' }
}

/** A union's nut, a true-union valve's two, a device's port unions, a bulkhead's gasket. */
function ownJoints(route: BuiltRun, body: Body): Joint[] {
  const own = (name: string, side: JointSide, kind: EndKind = 'union'): Joint => ({
    ...PLAIN,
    id: `${route.id}:${body.id}:${name}`,
    routeId: route.id,
    kind,
    bodyId: body.id,
    segmentId: null,
    side,
    isAssumed: body.isAssumed,
    at: body.at,
    pieceIds: body.pieceId ? [body.pieceId] : [],
  })
  if (body.kind === 'bulkhead') return [own('panel', 'panel', 'gasket')]
  if (body.kind === 'union') return [own('nut', 'middle')]
  if (body.isTrueUnion) return [own('nut-before', 'before'), own('nut-after', 'after')]
  if (body.kind === 'device' && body.before.kind === 'union')
    return [own('port-in', 'before'), own('port-out', 'after')]
  return []
}
