import type {
  CirculationPart,
  DeviceKind,
  DevicePart,
  PipeSeries,
  PumpPart,
  PieceOf,
} from '@yew-basin/core'
import { check } from '../check/check.ts'
import type { Checked, Fault } from '../check/fault.ts'
import { BulkheadSpec } from '../design/bulkhead.ts'
import { DevicePartDocument } from '../design/device.ts'
import { COUNTS, LIMITS } from '../design/limits.ts'
import { PipeSizeDocument } from '../design/pipe-size.ts'
import { PumpPartDocument } from '../design/pump-part.ts'
import { OneOf, Text, Within } from '../design/rules.ts'
import { CirculationPartDocument } from '../design/scene.ts'

/** What a keeper can keep among the parts. */
export const PART_KINDS = [
  'pump',
  'pipe',
  'hose',
  'fitting',
  'valve',
  'nozzle',
  'bulkhead',
  'skimmer',
  'sterilizer',
  'heater',
  'chiller',
  'reactor',
  'scrubber',
  'flow-meter',
  'circulation',
] as const
/** What a part can be. */
export type PartKind = (typeof PART_KINDS)[number]

/** A pipe or hose with the bore it really has. */
export interface BoreSpec {
  readonly series: PipeSeries
  readonly size: string
  readonly boreM: number | null
}

/** A fitting whose loss its maker gives. */
export class FittingSpec {
  @Within(LIMITS.loss, 'K on the bore of its line.')
  k!: number
}

/** A valve or check valve with its maker’s coefficient. */
export class ValveSpec {
  @OneOf(['gate', 'ball', 'diaphragm'], 'Gate, quarter-turn ball, or diaphragm.')
  form!: PieceOf<'valve'>['form']

  @Within(LIMITS.kv, 'Kv of the open valve, m³/h at 1 bar.')
  kvM3PerH!: number
}

/** What is kept of a nozzle. */
export class NozzleSpec {
  @Within(LIMITS.bore, 'Bore of its mouth, m.')
  boreM!: number
}

/** What is known of a part, by its kind. */
export type PartSpec =
  | { readonly kind: 'pump'; readonly spec: PumpPart }
  | { readonly kind: 'pipe' | 'hose'; readonly spec: BoreSpec }
  | { readonly kind: 'fitting'; readonly spec: FittingSpec }
  | { readonly kind: 'valve'; readonly spec: ValveSpec }
  | { readonly kind: 'nozzle'; readonly spec: NozzleSpec }
  | { readonly kind: 'circulation'; readonly spec: CirculationPart }
  | { readonly kind: 'bulkhead'; readonly spec: BulkheadSpec }
  | { [K in DeviceKind]: { readonly kind: K; readonly spec: DevicePart } }[DeviceKind]

/** A part as it is sent to be kept; its spec is checked by its kind. */
export class SavePart {
  @OneOf(PART_KINDS, 'What kind of part.')
  kind!: PartKind

  @Text(COUNTS.nameLength, 'What the keeper calls it.')
  name!: string
}

const SPECS: Readonly<Record<PartKind, new () => object>> = {
  pump: PumpPartDocument,
  pipe: PipeSizeDocument,
  hose: PipeSizeDocument,
  fitting: FittingSpec,
  valve: ValveSpec,
  nozzle: NozzleSpec,
  bulkhead: BulkheadSpec,
  skimmer: DevicePartDocument,
  sterilizer: DevicePartDocument,
  heater: DevicePartDocument,
  chiller: DevicePartDocument,
  reactor: DevicePartDocument,
  scrubber: DevicePartDocument,
  'flow-meter': DevicePartDocument,
  circulation: CirculationPartDocument,
}

const HOSES = ['smooth-hose', 'braided-hose', 'ribbed-hose']

/** A sent part, checked whole: every fault in it, or the part. */
export function readPart(body: unknown): Checked<SavePart & { spec: object }> {
  if (typeof body !== 'object' || body === null || Array.isArray(body)) {
    return { ok: false, faults: [{ path: '', message: 'must be an object' }] }
  }
  const { spec, ...rest } = body as Record<string, unknown>
  const head = check(SavePart, rest)
  if (!head.ok) return head
  if (typeof spec !== 'object' || spec === null || Array.isArray(spec)) {
    return { ok: false, faults: [{ path: 'spec', message: 'must be an object' }] }
  }
  const { kind, name } = head.value
  // A page of before sends a pump without a size, or without the part it was taken from.
  const checked = check(SPECS[kind], kind === 'pump' ? { size: null, partId: null, ...spec } : spec)
  if (!checked.ok) return { ok: false, faults: checked.faults.map(within) }
  const fault = seriesFault(kind, checked.value) ?? deviceFault(kind, checked.value)
  if (fault) return { ok: false, faults: [fault] }
  return { ok: true, value: { kind, name, spec: checked.value } }
}

const within = ({ path, message }: Fault): Fault => ({
  path: path ? `spec.${path}` : 'spec',
  message,
})

/** A device is of the kind it is kept as. */
function deviceFault(kind: PartKind, spec: object): Fault | null {
  return spec instanceof DevicePartDocument && spec.kind !== kind
    ? { path: 'spec.kind', message: `must be ${kind}` }
    : null
}

/** A hose is no pipe. */
function seriesFault(kind: PartKind, spec: object): Fault | null {
  if (kind !== 'pipe' && kind !== 'hose') return null
  const hose = HOSES.includes((spec as BoreSpec).series)
  return hose === (kind === 'hose')
    ? null
    : { path: 'spec.series', message: `must be a series of ${kind}` }
}
