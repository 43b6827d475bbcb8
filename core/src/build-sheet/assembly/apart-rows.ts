import { type BasinDesign, byId, partOf } from '../../design/index.ts'
import type { EndKind } from '../../run/index.ts'
import { BODY_NAME } from '../list/names.ts'
import { plumbingOf } from '../plumbing.ts'
import { type ComesApart, comesApart } from './comes-apart.ts'
import type { Link, BuiltPart } from './graph.ts'
import { jointGraph } from './graph.ts'
import type { Thing } from './things.ts'

/** A joint to undo, by its name and where it is lit up. */
export interface JointToUndo {
  readonly jointId: string
  readonly kind: EndKind
  /** "Main line: union". */
  readonly name: string
  readonly pieceId: string | null
  /** Of a thing with a joint on both sides: the one that the water comes in or leaves by; null: it has but one. */
  readonly side: 'in' | 'out' | null
}

/** A thing, and how it comes out again. */
export interface ApartRow {
  readonly thing: Pick<Thing, 'id' | 'kind' | 'name' | 'pieceId' | 'drawn' | 'shutInBy'>
  readonly isFree: boolean
  /** Nothing of the plumbing holds it: it stands or hangs free. */
  readonly standsFree: boolean
  readonly undo: readonly JointToUndo[]
  readonly heldBy: readonly string[]
  /** What would let it go, but that no tool gets to. */
  readonly unreached: readonly JointToUndo[]
  readonly shut: readonly { readonly name: string; readonly pieceId: string | null }[]
  /** From pipes, and from boxes whose bulkhead is undone, m³. */
  readonly runsOutM3: number
  /** Tanks that run back by their mouths as in a power cut: no valve is on the way. */
  readonly tankNames: readonly string[]
}

/** Every thing of a design, in words. */
export function apartRows(design: BasinDesign): ApartRow[] {
  return comesApart(design).map((found) => rowOf(design, found))
}

function rowOf(design: BasinDesign, found: ComesApart): ApartRow {
  const { id, kind, name, pieceId, drawn, shutInBy } = found.thing
  const nameOf = (part: BuiltPart) => partName(design, part)
  return {
    thing: { id, kind, name, pieceId, drawn, shutInBy },
    isFree: found.isFree,
    standsFree: found.isFree && found.undo.length === 0,
    undo: found.undo.map((link) => jointToUndo(design, link)),
    heldBy: [...new Set(found.heldBy.map(nameOf))],
    unreached: found.unreached.map((link) => jointToUndo(design, link)),
    shut: found.shut.map((part) => ({ name: nameOf(part), pieceId: part.body?.pieceId ?? null })),
    runsOutM3: found.pipesM3 + found.boxesM3,
    tankNames: found.tankIds.map((tankId) => byId(design.tanks, tankId, 'tank').name),
  }
}

const SIDES = { before: 'in', after: 'out', middle: null, panel: null } as const

/** A joint by its name, and which of two it is. */
export function jointToUndo(design: BasinDesign, { id, kind, side, ends }: Link): JointToUndo {
  const { parts } = jointGraph(design)
  const bodies = ends.map((at) => parts[at]!).filter(({ body }) => body !== null)
  const part = bodies[0] ?? parts[ends[0]]!
  return {
    jointId: id,
    kind,
    name: partName(design, part),
    pieceId: part.body?.pieceId ?? null,
    side: bodies.length > 1 ? SIDES[side] : null,
  }
}

/** "Main line: union"; a pump and a device by their own names. */
export function partName(design: BasinDesign, { id, body, routeId, isPanel }: BuiltPart): string {
  const route = plumbingOf(design).routes.find((other) => other.id === routeId)?.name ?? ''
  if (isPanel) return `${route}: panel`
  if (!body) return `${route}: pipe`
  if (body.kind === 'pump') {
    const placed = design.returnSide.pumps.find((pump) => id === `pump ${pump.id}`)
    if (placed) return partOf(design, placed.pumpId).name
  }
  const device = design.sump.devices.find(({ pieceId }) => pieceId === body.id)
  if (device) return device.name
  return `${route}: ${body.isClipped ? 'clipped ' : ''}${BODY_NAME[body.kind]}`
}
