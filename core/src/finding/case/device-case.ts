import type { Device } from '../../design/index.ts'
import type { SolvedDevice, SolvedSkimmer, SolvedSterilizer } from '../../figures/index.ts'
import type { SterilizerSpec } from '../../uv/index.ts'
import type { DrawnCase } from '../drawn-rule.ts'
import type { Station } from '../severity.ts'
import { type DeviceAsDrawn, deviceAsDrawn } from './device-as-drawn.ts'
import type { LineCase } from './line-case.ts'
import type { Whole } from './whole.ts'

/** A device with everything known of it. */
export interface DeviceCase extends DrawnCase<DeviceAsDrawn> {
  readonly whole: Whole
  readonly device: Device
  readonly index: number
  readonly solved: SolvedDevice
  /** The line it is in; undefined: none. */
  readonly line: LineCase | undefined
  /** The station that it is designed at. */
  readonly station: Station
  /** As a skimmer runs; undefined: it is none. */
  readonly skimmer: SolvedSkimmer | undefined
  /** As a sterilizer runs, and what it is; undefined and null: it is none. */
  readonly sterilizer: SolvedSterilizer | undefined
  readonly spec: SterilizerSpec | null
}

/** Every device of the sump. */
export function deviceCases(whole: Whole, lines: readonly LineCase[]): DeviceCase[] {
  const { skimmers, sterilizers } = whole.treatment
  const { devices } = whole.design.sump
  return devices.map((device, index) => {
    const { kind } = device.part
    const solved = whole.treatment.devices[index]!
    const line = lines.find(({ laid }) => laid.line.id === device.lineId)
    // A skimmer that is in no chamber yet has no place to be judged.
    const clearance = device.part.skimmer && device.chamberId === null ? null : solved.clearance
    return {
      whole,
      device,
      index,
      solved,
      line,
      drawing: deviceAsDrawn(device, { device, devices, clearance, line: line?.drawing }),
      station: kind === 'sterilizer' || kind === 'flow-meter' ? 'sterilizer' : 'skimmer',
      where: { deviceId: device.id, chamberId: device.chamberId },
      skimmer: skimmers.find(({ deviceId }) => deviceId === device.id),
      sterilizer: sterilizers.find(({ deviceId }) => deviceId === device.id),
      spec: device.part.sterilizer,
    }
  })
}

/** A device that is a skimmer, as it runs. */
export interface SkimmerCase extends DeviceCase {
  readonly skimmer: SolvedSkimmer
}

/** A device as a skimmer; none: it is none. */
export function skimmerCases(device: DeviceCase): readonly SkimmerCase[] {
  return isSkimmer(device) ? [device] : NO_DEVICE
}

const isSkimmer = (device: DeviceCase): device is SkimmerCase => device.skimmer !== undefined

/** A device that is a sterilizer, as it runs. */
export interface SterilizerCase extends DeviceCase {
  readonly sterilizer: SolvedSterilizer
  readonly spec: SterilizerSpec
}

/** A device as a sterilizer; none: it is none. */
export function sterilizerCases(device: DeviceCase): readonly SterilizerCase[] {
  return isSterilizer(device) ? [device] : NO_DEVICE
}

const isSterilizer = (device: DeviceCase): device is SterilizerCase =>
  device.sterilizer !== undefined && device.spec !== null

const NO_DEVICE: readonly never[] = []
