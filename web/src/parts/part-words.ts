import type { PartAnswer, PartKind } from '@yew-basin/contract'
import {
  QUANTITIES,
  toSi,
  type CirculationPart,
  type DeviceKind,
  type DevicePart,
  type SkimmerSpec,
  type SterilizerSpec,
  type UnitFamily,
} from '@yew-basin/core'
import { usualSizes } from '../run/usual-sizes.ts'
import { newPump } from './new-pump.ts'

export const KINDS: readonly {
  readonly kind: PartKind
  readonly label: string
  readonly one: string
}[] = [
  { kind: 'pump', label: 'Pumps', one: 'pump' },
  { kind: 'pipe', label: 'Pipe', one: 'pipe' },
  { kind: 'hose', label: 'Hose', one: 'hose' },
  { kind: 'fitting', label: 'Fittings', one: 'fitting' },
  { kind: 'valve', label: 'Valves', one: 'valve' },
  { kind: 'nozzle', label: 'Nozzles', one: 'nozzle' },
  { kind: 'bulkhead', label: 'Bulkheads', one: 'bulkhead' },
  { kind: 'skimmer', label: 'Skimmers', one: 'skimmer' },
  { kind: 'sterilizer', label: 'Sterilizers', one: 'sterilizer' },
  { kind: 'heater', label: 'Heaters', one: 'heater' },
  { kind: 'chiller', label: 'Chillers', one: 'chiller' },
  { kind: 'reactor', label: 'Reactors', one: 'reactor' },
  { kind: 'scrubber', label: 'Scrubbers', one: 'scrubber' },
  { kind: 'flow-meter', label: 'Flow meters', one: 'flow meter' },
  { kind: 'circulation', label: 'Circulation pumps', one: 'circulation pump' },
]

const DEVICES: ReadonlySet<PartKind> = new Set<DeviceKind>([
  'skimmer',
  'sterilizer',
  'heater',
  'chiller',
  'reactor',
  'scrubber',
  'flow-meter',
])

/** Is it equipment, not plumbing? */
export const isDevice = (kind: PartKind): kind is DeviceKind => DEVICES.has(kind)

/** A flow as a box prints it. */
export const litresAnHour = (shown: number) => toSi(QUANTITIES.flow.shown.metric, shown)

/** A box of a hand's size, with what its kind needs. */
function newDevice(kind: DeviceKind): DevicePart {
  return {
    id: 'own',
    name: 'My device',
    kind,
    lengthM: 0.2,
    widthM: 0.18,
    heightM: 0.45,
    sectionM2: 0.015,
    handM: 0.04,
    control: 'fixed-speed',
    powerW: 15,
    noise: 'heard-near',
    priceClass: 3,
    window: null,
    skimmer: kind === 'skimmer' ? NEW_SKIMMER : null,
    sterilizer: kind === 'sterilizer' ? NEW_STERILIZER : null,
  }
}

const NEW_SKIMMER: SkimmerSpec = {
  form: 'internal',
  ratedM3: { light: 0.6, medium: 0.45, heavy: 0.3 },
  flowM3PerS: litresAnHour(600),
  airM3PerS: litresAnHour(300),
  bodyM3: 0.0035,
  neckBoreM: 0.08,
  wantsDepth: { leastM: 0.18, mostM: 0.22 },
  givesBackM3: 0.0006,
  cupLiftM: 0.08,
}

const NEW_STERILIZER: SterilizerSpec = {
  by: 'maker',
  ratedDoseJPerM2: 300,
  ratedFlowM3PerS: litresAnHour(1000),
  uvcPowerW: 8,
  arcLengthM: 0.3,
  sleeveDiameterM: 0.025,
  chamberBoreM: 0.068,
  transmittancePerCm: 0.95,
  mixingFactor: 0.7,
  ratedHoursS: 9000 * 3600,
  pullOutM: 0.45,
  portBoreM: 0.02,
}

const NEW_CIRCULATION: CirculationPart = {
  id: 'own',
  name: 'My circulation pump',
  form: 'jet',
  control: 'controllable',
  flowM3PerS: litresAnHour(6000),
  boreM: 0.05,
  slotLengthM: null,
  slotWidthM: null,
  leastSpeed: 0.3,
  powerW: 15,
  depthM: 0.08,
  bodyM: 0.08,
}

/** What a new part of a kind starts from. */
export function newSpec(kind: PartKind, family: UnitFamily = 'metric'): object {
  switch (kind) {
    case 'pump':
      return newPump()
    case 'pipe':
      return usualSizes(family).pipe
    case 'hose':
      return usualSizes(family).hose
    case 'fitting':
      return { k: 1 }
    case 'valve':
      return { form: 'ball', kvM3PerH: 20 }
    case 'nozzle':
      return { boreM: 0.02 }
    case 'bulkhead':
      return { boreM: 0.027, holeM: 0.044, flangeM: 0.064 }
    case 'circulation':
      return NEW_CIRCULATION
    default:
      return newDevice(kind)
  }
}

/** A part as it is being changed, before it is kept. */
export interface PartDraft {
  /** null: not kept yet. */
  readonly id: string | null
  /** The part it is a copy of. */
  readonly of?: string
  /** Which was seen; 0 where nothing is kept yet. */
  readonly revision: number
  readonly kind: PartKind
  readonly name: string
  readonly spec: PartAnswer['spec']
}
