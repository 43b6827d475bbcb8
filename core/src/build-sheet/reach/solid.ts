import type { BasinDesign, DisplayTank, SumpBox } from '../../design/index.ts'
import { boreOf, type PipeSize, SERIES_SIZES } from '../../pipe/index.ts'
import type { Point } from '../../run/index.ts'
import { type JointGraph, jointGraph } from '../assembly/graph.ts'
import { plumbingOf } from '../plumbing.ts'
import { placesOf } from '../places.ts'
import type { Body, BuiltRun, Span } from '../route/body.ts'

/** Something that is in a hand's way: a stretch of pipe, a fitting, a panel. */
export interface Solid {
  /** How far a point is from its outside; less than zero: in it. */
  readonly distanceM: (point: Point) => number
  /** Parts that it is; none: it is a panel. */
  readonly parts: readonly number[]
  /** The box that it is a panel of; null: it is no panel. */
  readonly panelOf: string | null
}

/** Wall of a hose, of which no standard says the outside, m (typical). */
const HOSE_WALL_M = 0.0025
/** A fitting is so much thicker than its pipe (typical of moulded ones). */
export const FITTING_SHARE = 1.3
/** And a union's or bulkhead's nut so much. */
const NUT_SHARE = 1.8
/** Glass of which nothing is said, m (typical of 200 to 400 litres). */
const GLASS_M = 0.01

/** Half the outside of pipe or hose, m. */
export function radiusOf(own: PipeSize): number {
  const outsideM = SERIES_SIZES[own.series].find(({ size }) => size === own.size)?.outsideM
  return (outsideM ?? boreOf(own).boreM + 2 * HOSE_WALL_M) / 2
}

const NUTS: ReadonlySet<Body['kind']> = new Set(['union', 'bulkhead'])
/** An end of a run is no thing that is in the way. */
const NOTHING: ReadonlySet<Body['kind']> = new Set(['open-end', 'leg'])

/** Half the outside of a fitting, m. */
export function fittingRadiusOf({ kind, isTrueUnion, after }: Body): number {
  return radiusOf(after.size) * (NUTS.has(kind) || isTrueUnion ? NUT_SHARE : FITTING_SHARE)
}

/** All that stands about a design's pipes: the pipes themselves, fittings, panels of tanks and sump. */
export function solidsOf(design: BasinDesign): Solid[] {
  const partsOf = new PartsOf(jointGraph(design))
  return [
    ...plumbingOf(design).routes.flatMap((route) => ofRoute(partsOf, route)),
    ...design.tanks.flatMap((tank) => ofPanels(tank.id, tankPanels(tank))),
    ...(design.sump.box ? ofPanels('sump', panelsOf(design.sump.box)) : []),
  ]
}

/** Which parts of the graph a stretch or a fitting is. */
class PartsOf {
  private readonly known = new Map<Body | string, number[]>()

  constructor({ parts }: JointGraph) {
    parts.forEach(({ body, routeId, segmentId }, at) => {
      const key = body ?? `${routeId} ${segmentId}`
      this.known.set(key, [...(this.known.get(key) ?? []), at])
    })
  }

  segment = (routeId: string, { id }: Span) => this.known.get(`${routeId} ${id}`) ?? []
  body = (body: Body) => this.known.get(body) ?? []
}

function ofRoute(partsOf: PartsOf, route: BuiltRun): Solid[] {
  const places = placesOf(route)
  return [
    ...route.segments.map((segment, i) => ({
      distanceM: toCapsule(places[i]!, places[i + 1]!, radiusOf(segment.size)),
      parts: partsOf.segment(route.id, segment),
      panelOf: null,
    })),
    ...route.bodies.flatMap((body, i): Solid[] =>
      NOTHING.has(body.kind)
        ? []
        : [
            {
              distanceM: toCapsule(places[i]!, places[i]!, fittingRadiusOf(body)),
              parts: partsOf.body(body),
              panelOf: null,
            },
          ],
    ),
  ]
}

/** Distance to a round stick between two points. Asked so often that roots are taken by hand: hypot is ten times as slow. */
function toCapsule(a: Point, b: Point, radiusM: number): Solid['distanceM'] {
  const [dx, dy, dz] = [b.xM - a.xM, b.yM - a.yM, b.zM - a.zM]
  const square = dx * dx + dy * dy + dz * dz
  return ({ xM, yM, zM }) => {
    const [px, py, pz] = [xM - a.xM, yM - a.yM, zM - a.zM]
    const along = square === 0 ? 0 : (px * dx + py * dy + pz * dz) / square
    const share = Math.min(1, Math.max(0, along))
    return length(px - share * dx, py - share * dy, pz - share * dz) - radiusM
  }
}

const length = (x: number, y: number, z: number) => Math.sqrt(x * x + y * y + z * z)

type OpenBox = Pick<
  SumpBox,
  'xM' | 'yM' | 'floorHeightM' | 'lengthM' | 'widthM' | 'heightM' | 'panelM'
>
/** From and to along an axis, m. */
export type Range = readonly [number, number]
/** An upright box in the room: along x, y and z. */
export type Slab = readonly [Range, Range, Range]

/** Floor and four sides of a tank, as usual glass has them. */
export const tankPanels = (tank: DisplayTank): Slab[] => panelsOf({ ...tank, panelM: GLASS_M })

/** Floor and four sides of an open box, by its inside faces. */
export function panelsOf(box: OpenBox): Slab[] {
  const { xM, yM, floorHeightM, lengthM, widthM, heightM, panelM } = box
  const x: Range = [xM, xM + lengthM]
  const y: Range = [yM, yM + widthM]
  const z: Range = [floorHeightM, floorHeightM + heightM]
  const under: Range = [floorHeightM - panelM, floorHeightM]
  const before = ([from]: Range): Range => [from - panelM, from]
  const after = ([, to]: Range): Range => [to, to + panelM]
  return [
    [x, y, under],
    [before(x), y, z],
    [after(x), y, z],
    [x, before(y), z],
    [x, after(y), z],
  ]
}

const ofPanels = (id: string, panels: readonly Slab[]): Solid[] =>
  panels.map((panel) => ({ distanceM: toSlab(panel), parts: [], panelOf: id }))

/** Distance to an upright box. */
function toSlab([x, y, z]: Slab): Solid['distanceM'] {
  const off = (value: number, [from, to]: Range) => Math.max(from - value, 0, value - to)
  return ({ xM, yM, zM }) => length(off(xM, x), off(yM, y), off(zM, z))
}
