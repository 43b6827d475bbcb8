import { type BasinDesign, partOf } from '../../design/index.ts'
import { comesOutUpright } from '../../device/index.ts'
import { clearanceOf, takeOutOf } from '../../figures/index.ts'
import type { BodyKind, BuiltRun } from '../route/body.ts'
import { plumbingOf } from '../plumbing.ts'
import { type JointGraph, jointGraph, type BuiltPart } from './graph.ts'

/** What is taken out one day: to be cleaned, changed, mended or sold. */
export type ThingKind =
  'pump' | 'sterilizer' | 'lamp' | 'device' | 'valve' | 'drain' | 'box' | 'sump'

/** A thing of a design, and the parts that it is or that must come free with it. */
export interface Thing {
  readonly id: string
  readonly kind: ThingKind
  readonly name: string
  /** To light up in the drawing; null: none. */
  readonly pieceId: string | null
  /** The device, or the drain, that it is or is of; null: none. */
  readonly deviceId: string | null
  readonly drainId: string | null
  /** Each comes free by itself. */
  readonly parts: readonly number[]
  /** Of a lamp: the length that it is drawn out by, and what is free beyond its better end; null: no lamp. */
  readonly drawn: LampRoom | null
  /** Free of its pipes it still does not get out: under the cabinet's top, or by any of its doors. */
  readonly shutInBy: 'top' | 'doors' | null
}

/** Room to draw a lamp out of its sterilizer. */
export interface LampRoom {
  readonly wantsM: number
  /** null: no cabinet is given, or a door is before it. */
  readonly freeM: number | null
}

const VALVES: ReadonlySet<BodyKind> = new Set([
  'gate-valve',
  'ball-valve',
  'diaphragm-valve',
  'check-valve',
])
const VALVE_NAME: Readonly<Partial<Record<BodyKind, string>>> = {
  'gate-valve': 'gate valve',
  'ball-valve': 'ball valve',
  'diaphragm-valve': 'diaphragm valve',
  'check-valve': 'check valve',
}

/** Is it a valve that can be shut by hand? */
export const canBeShut = ({ body, isHalf }: BuiltPart): boolean =>
  // The unions' halves of a true-union valve hold nothing back.
  body !== null && !isHalf && VALVES.has(body.kind) && body.kind !== 'check-valve'

/** Everything of a design that comes out one day, in the order of the water. */
export function thingsOf(design: BasinDesign): Thing[] {
  const graph = jointGraph(design)
  const { routes } = plumbingOf(design)
  return [
    ...pumpsOf(design, graph),
    ...devicesOf(design, graph),
    ...routes.flatMap((route) => valvesOf(route, graph)),
    ...routes.flatMap((route) => drainOf(route, graph)),
    ...boxesOf(design, graph),
    ...sumpOf(design, graph, routes),
  ]
}

/** Of none. */
const NOWHERE = {
  pieceId: null,
  deviceId: null,
  drainId: null,
  drawn: null,
  shutInBy: null,
} as const

const placeOf = ({ parts }: JointGraph, id: string): number[] => {
  const at = parts.findIndex((part) => part.id === id)
  return at < 0 ? [] : [at]
}

function pumpsOf(design: BasinDesign, graph: JointGraph): Thing[] {
  return design.returnSide.pumps.map(({ id, pumpId }) => ({
    ...NOWHERE,
    id: `pump ${id}`,
    kind: 'pump',
    name: partOf(design, pumpId).name,
    parts: placeOf(graph, `pump ${id}`),
  }))
}

function devicesOf({ sump }: BasinDesign, graph: JointGraph): Thing[] {
  return sump.devices.flatMap((own): Thing[] => {
    const { id, name, part, pieceId } = own
    const {
      liftsOutM = null,
      pullOutM = null,
      pullsThroughDoor = false,
    } = clearanceOf(sump, own) ?? {}
    const device: Thing = {
      ...NOWHERE,
      id: `device ${id}`,
      deviceId: id,
      kind: part.sterilizer ? 'sterilizer' : 'device',
      name,
      pieceId,
      shutInBy: comesOutUpright(part.kind) && liftsOutM !== null && liftsOutM < 0 ? 'top' : null,
      // A flow meter sits on a pipe; one without a piece stands free.
      parts: pieceId === null ? [] : placeOf(graph, pieceId),
    }
    if (!part.sterilizer) return [device]
    const drawn = { wantsM: part.sterilizer.pullOutM, freeM: pullsThroughDoor ? null : pullOutM }
    const isDrawn = drawn.freeM === null || drawn.freeM >= drawn.wantsM
    return [
      device,
      {
        ...device,
        id: `lamp ${id}`,
        kind: 'lamp',
        shutInBy: null,
        name: `Lamp of ${name}`,
        drawn,
        // Without that room it comes out with the whole sterilizer.
        parts: isDrawn ? [] : device.parts,
      },
    ]
  })
}

function valvesOf(route: BuiltRun, graph: JointGraph): Thing[] {
  const own = route.bodies.filter(({ kind }) => VALVES.has(kind))
  return own.map(({ id, kind, pieceId }, i) => ({
    ...NOWHERE,
    id: `valve ${id}`,
    drainId: route.of === 'drain' ? route.id : null,
    kind: 'valve',
    name: `${route.name}: ${VALVE_NAME[kind]!}${own.length > 1 ? ` ${i + 1}` : ''}`,
    pieceId,
    parts: placeOf(graph, id),
  }))
}

/** Of a drain the pipe that ends in the sump: it is what is in the way, and what clogs with weed. */
function drainOf(route: BuiltRun, graph: JointGraph): Thing[] {
  if (route.of !== 'drain') return []
  const last = route.segments.at(-1)
  if (!last) return []
  return [
    {
      ...NOWHERE,
      id: `drain ${route.id}`,
      drainId: route.id,
      kind: 'drain',
      name: route.name,
      pieceId: last.pieceIds[0] ?? null,
      parts: placeOf(graph, `${route.id} ${last.id}`),
    },
  ]
}

/** A box beside its tank or hung over it comes off with its bulkheads undone; one in the tank is sealed in. */
function boxesOf({ tanks, drains }: BasinDesign, graph: JointGraph): Thing[] {
  return tanks.flatMap(({ id, name, overflow }): Thing[] => {
    if (!overflow?.box || overflow.form === 'inner-box') return []
    const own = drains.filter(({ tankId }) => tankId === id)
    return [
      {
        ...NOWHERE,
        id: `box ${id}`,
        kind: 'box',
        name: `Overflow box of ${name}`,
        parts: own.flatMap((drain) => placeOf(graph, `panel ${drain.id}-bulkhead`)),
      },
    ]
  })
}

/** The sump comes out when every pipe that ends in it and every pump comes free. */
function sumpOf(design: BasinDesign, graph: JointGraph, routes: readonly BuiltRun[]): Thing[] {
  const { sump, returnSide, drains } = design
  if (!sump.box) return []
  const into = [...returnSide.lines, ...drains].filter(({ end }) => end.at === 'chamber')
  const ends = into.flatMap(({ id }) => {
    const route = routes.find((other) => other.id === id)!
    const last = route.segments.at(-1)
    return last ? placeOf(graph, `${id} ${last.id}`) : []
  })
  const pumps = returnSide.pumps.flatMap(({ id }) => placeOf(graph, `pump ${id}`))
  const out = takeOutOf(design)
  return [
    {
      ...NOWHERE,
      id: 'sump',
      kind: 'sump',
      name: 'Sump',
      shutInBy: out !== null && out.way === null ? 'doors' : null,
      parts: [...ends, ...pumps],
    },
  ]
}
