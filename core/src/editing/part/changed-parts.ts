import { type BasinDesign, type Edit, setTo } from '../../design/index.ts'
import type { DevicePart } from '../../device/index.ts'
import type { PumpPart } from '../../pump/index.ts'
import type { CirculationPart } from '../../scene/index.ts'

/** The parts as they are kept now, in the library and among the keeper's own. */
export interface KeptParts {
  readonly pumps: readonly PumpPart[]
  readonly devices: readonly DevicePart[]
  readonly circulation: readonly CirculationPart[]
}

/** A part that was changed since the design took it. */
export interface ChangedPart {
  readonly partId: string
  /** As it is called now. */
  readonly name: string
  /** What is another figure, or another word, now. */
  readonly changes: readonly PartChange[]
  /** Puts it into the design as it is now, wherever the design uses it. */
  readonly edits: readonly Edit[]
}

/** One figure of a part, as the design has it and as it is now. */
export interface PartChange {
  /** Names of fields, outermost first. */
  readonly path: readonly string[]
  readonly from: unknown
  readonly to: unknown
}

/** Parts of a design that were changed, among the kept ones, since it took them. */
export function changedParts(design: BasinDesign, kept: KeptParts): ChangedPart[] {
  return [
    ...changedPumps(design, kept),
    ...changedDevices(design, kept),
    ...changedStreams(design, kept),
  ]
}

/** A name belongs to the kept part; ids are no figures of it; a wiper is put in or taken out of the one that stands here. */
const UNTOLD = new Set(['id', 'partId', 'hasWiper'])

function changedPumps({ pumps, returnSide }: BasinDesign, kept: KeptParts): ChangedPart[] {
  return pumps.flatMap((own, i): ChangedPart[] => {
    const now = kept.pumps.find(({ id }) => id === own.partId)
    const changes = now ? changesOf(own, now) : []
    if (!now || changes.length === 0) return []
    const placed = returnSide.pumps.flatMap((pump, at): Edit[] =>
      pump.pumpId === own.id
        ? [setTo(['returnSide', 'pumps', at, 'speed'], runs(pump.speed, now))]
        : [],
    )
    const part = { ...now, id: own.id, partId: own.partId }
    return [
      { partId: now.id, name: now.name, changes, edits: [setTo(['pumps', i], part), ...placed] },
    ]
  })
}

function changedDevices({ sump }: BasinDesign, kept: KeptParts): ChangedPart[] {
  const changed = sump.devices.flatMap((device, i): ChangedPart[] => {
    const now = kept.devices.find(
      ({ id, kind }) => id === device.part.id && kind === device.part.kind,
    )
    const changes = now ? changesOf(device.part, now) : []
    if (!now || changes.length === 0) return []
    const at = ['sump', 'devices', i] as const
    const speed = runs(device.speed, { ...now, leastSpeed: 0 })
    const edits = [setTo([...at, 'part'], now), setTo([...at, 'speed'], speed)]
    return [{ partId: now.id, name: now.name, changes, edits }]
  })
  return onceAPart(changed)
}

function changedStreams({ tanks }: BasinDesign, kept: KeptParts): ChangedPart[] {
  const changed = tanks.flatMap(({ scene }, tank) =>
    scene.pumps.flatMap((pump, i): ChangedPart[] => {
      const now = kept.circulation.find(({ id }) => id === pump.part.id)
      const changes = now ? changesOf(pump.part, now) : []
      if (!now || changes.length === 0) return []
      const at = ['tanks', tank, 'scene', 'pumps', i] as const
      const edits = [setTo([...at, 'part'], now), setTo([...at, 'speed'], runs(pump.speed, now))]
      return [{ partId: now.id, name: now.name, changes, edits }]
    }),
  )
  return onceAPart(changed)
}

/** What stands more than once is one part that was changed. */
function onceAPart(changed: readonly ChangedPart[]): ChangedPart[] {
  const once = new Map<string, ChangedPart>()
  for (const part of changed) {
    const known = once.get(part.partId)
    once.set(part.partId, known ? { ...known, edits: [...known.edits, ...part.edits] } : part)
  }
  return [...once.values()]
}

/** The speed it runs at, or the nearest that the part, as it is now, can. */
const runs = (
  speed: number,
  { control, leastSpeed }: Pick<PumpPart, 'control' | 'leastSpeed'>,
): number => (control === 'fixed-speed' ? 1 : Math.max(speed, leastSpeed))

function changesOf(own: object, now: object, path: readonly string[] = []): PartChange[] {
  const keys = new Set([...Object.keys(own), ...Object.keys(now)])
  return [...keys].flatMap((key): PartChange[] => {
    if (path.length === 0 && UNTOLD.has(key)) return []
    const from = (own as Record<string, unknown>)[key]
    const to = (now as Record<string, unknown>)[key]
    if (!isObject(from) || !isObject(to)) {
      return Object.is(from ?? null, to ?? null) ? [] : [{ path: [...path, key], from, to }]
    }
    // A list is one figure: a curve with another point is another curve.
    if (Array.isArray(from) || Array.isArray(to)) {
      const same = JSON.stringify(from) === JSON.stringify(to)
      return same ? [] : [{ path: [...path, key], from, to }]
    }
    return changesOf(from, to, [...path, key])
  })
}

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null
