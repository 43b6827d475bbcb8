import { type BasinDesign, byId, partOf } from '../../design/index.ts'
import type { EndKind, Point } from '../../run/index.ts'
import { type BuiltPart, jointGraph } from '../assembly/graph.ts'
import { subAssemblies } from '../assembly/sub-assemblies.ts'
import type { Cut } from '../cuts.ts'
import { type Plumbing, plumbingOf } from '../plumbing.ts'
import type { Body, BodyKind, BuiltRun } from '../route/body.ts'
import { brokenWhereBehind } from './behind.ts'
import { EDGES, type Frame, framesOf } from './frames.ts'
import {
  type DeepSpot,
  NEARLY_TO_SCALE,
  paperFor,
  type PaperSpot,
  TO_NO_SCALE,
  type Turn,
} from './paper.ts'
import { placesOf } from '../places.ts'

/** What an isometric shows: one run, one sub-assembly, or all of it. */
export type IsometricOf =
  | { readonly kind: 'run'; readonly routeId: string }
  | { readonly kind: 'sub-assembly'; readonly id: string }
  | { readonly kind: 'whole' }

/** Pipe or hose between two signs. */
export interface IsometricBar {
  readonly id: string
  readonly kind: 'pipe' | 'hose'
  /** In the order of the water. */
  readonly from: PaperSpot
  readonly to: PaperSpot
  /** What is seen of it: broken where something stands before it. */
  readonly seen: readonly (readonly [PaperSpot, PaperSpot])[]
  /** null: nothing is cut there. */
  readonly cut: Pick<Cut, 'mark' | 'cutM' | 'centreToCentreM'> | null
  readonly partId: string | null
  readonly pieceIds: readonly string[]
}

/** A fitting, port or end. */
export interface IsometricSign {
  readonly id: string
  readonly kind: BodyKind
  readonly at: PaperSpot
  /** Where its pipe leads on paper, from it: towards what is before it and what is after; null: nothing is. */
  readonly before: PaperSpot | null
  readonly after: PaperSpot | null
  /** What it is called, or where the end is; empty: its sign says all. */
  readonly name: string
  /** A fitting, and its halves where it comes apart. */
  readonly partIds: readonly string[]
  readonly pieceId: string | null
}

/** A joint's sign on its bar. */
export interface IsometricJoint {
  readonly id: string
  /** The parts that it joins. */
  readonly partIds: readonly string[]
  readonly kind: EndKind
  readonly at: PaperSpot
  /** The bar's direction there, of length one. */
  readonly along: PaperSpot
}

/** A run, a sub-assembly or the whole as a pipe fitter draws it. */
export interface Isometric {
  readonly bars: readonly IsometricBar[]
  readonly signs: readonly IsometricSign[]
  readonly joints: readonly IsometricJoint[]
  /** Tanks and sump, of the whole alone. */
  readonly frames: readonly {
    readonly id: string
    readonly name: string
    readonly edges: readonly (readonly [PaperSpot, PaperSpot])[]
  }[]
  /** Leftmost and highest place and size of it all, units. */
  readonly left: number
  readonly top: number
  readonly width: number
  readonly height: number
}

/** Draws a run, a sub-assembly or the whole from the front right, or turned by quarters. */
export function isometricOf(design: BasinDesign, of: IsometricOf, turn: Turn = 0): Isometric {
  const plumbing = plumbingOf(design)
  const shown = shownOf(design, plumbing, of)
  const frames = of.kind === 'whole' ? framesOf(design) : []
  const points = [
    ...shown.flatMap(({ places, bars }) => bars.flatMap((i) => [places[i]!, places[i + 1]!])),
    ...shown.flatMap(({ places, bodies }) => bodies.map((i) => places[i]!)),
    ...frames.flatMap(({ corners }) => corners),
  ]
  const spacing = of.kind === 'whole' ? NEARLY_TO_SCALE : TO_NO_SCALE
  const on = paperFor(points, { spacing, turn })
  const drawing = { design, plumbing, on, shown }
  const signs = signsOf(drawing)
  return {
    bars: barsOf(drawing),
    signs,
    joints: jointsOf(drawing),
    frames: frames.map(({ id, name, corners }) => ({ id, name, edges: edgesOf(corners, on) })),
    ...boundsOf(points.map(on)),
  }
}

/** Of a route what is shown: its bodies and bars by their numbers. */
interface Shown {
  readonly route: BuiltRun
  readonly places: readonly Point[]
  readonly bodies: readonly number[]
  readonly bars: readonly number[]
}

interface Drawing {
  readonly design: BasinDesign
  readonly plumbing: Plumbing
  readonly on: (point: Point) => DeepSpot
  readonly shown: readonly Shown[]
}

function shownOf(design: BasinDesign, { routes }: Plumbing, of: IsometricOf): Shown[] {
  const all = routes.map((route) => ({
    route,
    places: placesOf(route),
    bodies: route.bodies.map((_, i) => i),
    bars: route.segments.map((_, i) => i),
  }))
  if (of.kind === 'whole') return all
  if (of.kind === 'run') return all.filter(({ route }) => route.id === of.routeId)
  const graph = jointGraph(design)
  const piece = subAssemblies(design).all.find(({ id }) => id === of.id)
  const own = (piece?.parts ?? []).map((at) => graph.parts[at]!)
  return all.flatMap(({ route, places }) => {
    const bars = route.segments.flatMap(({ id }, i) =>
      own.some((part) => part.routeId === route.id && part.segmentId === id) ? [i] : [],
    )
    const bodies = route.bodies.flatMap((body, i) =>
      isOwn(own, route, body) || bars.includes(i) || bars.includes(i - 1) ? [i] : [],
    )
    return bodies.length + bars.length === 0 ? [] : [{ route, places, bodies, bars }]
  })
}

const isOwn = (own: readonly BuiltPart[], route: BuiltRun, body: Body) =>
  own.some((part) => part.body === body && part.routeId === route.id)

function barsOf({ design, plumbing, on, shown }: Drawing): IsometricBar[] {
  const partIds = new Map(
    jointGraph(design).parts.flatMap(({ id, routeId, segmentId }) =>
      segmentId === null ? [] : [[`${routeId} ${segmentId}`, id] as const],
    ),
  )
  const bars = shown.flatMap(({ route, places, bars: own }) =>
    own.map((i) => ({
      route,
      segment: route.segments[i]!,
      from: on(places[i]!),
      to: on(places[i + 1]!),
    })),
  )
  const seen = brokenWhereBehind(bars)
  return bars.map(({ route, segment, from, to }, i) => ({
    id: `${route.id} ${segment.id}`,
    kind: segment.kind,
    from,
    to,
    seen: seen[i]!,
    cut:
      plumbing.cuts.find((cut) => cut.routeId === route.id && cut.segmentId === segment.id) ?? null,
    partId: partIds.get(`${route.id} ${segment.id}`) ?? null,
    pieceIds: segment.pieceIds,
  }))
}

function signsOf({ design, on, shown }: Drawing): IsometricSign[] {
  const { parts } = jointGraph(design)
  const ofBody = new Map<Body, string[]>()
  for (const { id, body } of parts) if (body) ofBody.set(body, [...(ofBody.get(body) ?? []), id])
  return shown.flatMap(({ route, places, bodies, bars }) =>
    bodies.map((i): IsometricSign => {
      const body = route.bodies[i]!
      const at = on(places[i]!)
      return {
        id: `${route.id} ${body.id}`,
        kind: body.kind,
        at,
        before: bars.includes(i - 1) ? on(places[i - 1]!) : null,
        after: bars.includes(i) ? on(places[i + 1]!) : null,
        name: nameOf(design, route, body, shown),
        partIds: ofBody.get(body) ?? [],
        pieceId: body.pieceId,
      }
    }),
  )
}

/** What a pump or device is called, and where a run's ends are. */
function nameOf(
  design: BasinDesign,
  route: BuiltRun,
  { id, kind }: Body,
  shown: readonly Shown[],
): string {
  const { tanks, sump, returnSide, drains } = design
  const line = returnSide.lines.find((other) => other.id === route.id)
  if (kind === 'pump')
    return partOf(design, byId(returnSide.pumps, line!.start.id, 'placed pump').pumpId).name
  if (kind === 'device') return sump.devices.find(({ pieceId }) => pieceId === id)?.name ?? ''
  const isFirst = route.bodies[0]!.id === id
  const drain = drains.find((other) => other.id === route.id)
  if (isFirst && drain) return tanks.find(({ id: tankId }) => tankId === drain.tankId)?.name ?? ''
  if (kind === 'leg') {
    const host = hostOf(design, isFirst ? line!.start.id : (line ?? drain!).end.id!)
    // What it meets is drawn too: that says it.
    return !host || shown.some((other) => other.route.id === host.id) ? '' : host.name
  }
  if (route.bodies.at(-1)!.id !== id) return ''
  const { at, id: endId } = (line ?? drain!).end
  if (at === 'tank') return tanks.find((tank) => tank.id === endId)?.name ?? ''
  if (at === 'chamber') return sump.chambers.find((chamber) => chamber.id === endId)?.name ?? ''
  return ''
}

/** The run in which a leg's tee sits. */
const hostOf = ({ returnSide, drains }: BasinDesign, teeId: string) =>
  [...returnSide.lines, ...drains].find(({ run }) => run.pieces.some(({ id }) => id === teeId)) ??
  null

/** So far from its fitting's middle a joint's sign stands, units; never past the middle of a bar. */
const JOINT_OFF = 13

function jointsOf({ design, plumbing, on, shown }: Drawing): IsometricJoint[] {
  const { links, parts } = jointGraph(design)
  const ends = new Map(links.map((link) => [link.id, link.ends.map((at) => parts[at]!.id)]))
  return shown.flatMap(({ route, places, bars, bodies }) =>
    plumbing.joints.flatMap((joint): IsometricJoint[] => {
      if (joint.routeId !== route.id || joint.adapterAt === 'pipe') return []
      const i = route.bodies.findIndex(({ id }) => id === joint.bodyId)
      if (!bodies.includes(i)) return []
      const bar =
        joint.side === 'before' ? i - 1 : joint.side === 'after' ? i : bars.includes(i) ? i : i - 1
      if (!bars.includes(bar)) return []
      const from = on(places[i]!)
      const to = on(places[bar === i ? i + 1 : i - 1]!)
      const long = Math.hypot(to.x - from.x, to.y - from.y)
      if (long === 0) return []
      const along = { x: (to.x - from.x) / long, y: (to.y - from.y) / long }
      const isAtMiddle = joint.side === 'middle' || joint.side === 'panel'
      const off = isAtMiddle ? 0 : Math.min(JOINT_OFF, long / 3)
      return [
        {
          id: joint.id,
          partIds: ends.get(joint.id) ?? [],
          kind: joint.kind,
          at: { x: from.x + off * along.x, y: from.y + off * along.y },
          along,
        },
      ]
    }),
  )
}

function edgesOf(corners: Frame['corners'], on: Drawing['on']) {
  const spots = corners.map(on)
  return EDGES.map(([a, b]) => [spots[a]!, spots[b]!] as const)
}

function boundsOf(spots: readonly PaperSpot[]) {
  if (spots.length === 0) return { left: 0, top: 0, width: 0, height: 0 }
  const xs = spots.map(({ x }) => x)
  const ys = spots.map(({ y }) => y)
  const [left, top] = [Math.min(...xs), Math.min(...ys)]
  return { left, top, width: Math.max(...xs) - left, height: Math.max(...ys) - top }
}
