import type { Device } from '../../design/index.ts'
import type { SolvedDevice, SolvedSkimmer, SolvedSterilizer } from '../../figures/index.ts'
import type { SterilizerSpec } from '../../uv/index.ts'
import type { Case } from '../rule.ts'
import type { PathStop } from '../severity.ts'
import type { LineCase } from './line-case.ts'
import type { Whole } from './whole.ts'

/** A device with everything known of it. */
export interface DeviceCase extends Case {
  readonly whole: Whole
  readonly device: Device
  readonly index: number
  readonly solved: SolvedDevice
  /** The line it is in; undefined: none. */
  readonly line: LineCase | undefined
  /** The stop that it is designed at. */
  readonly stop: PathStop
}

/** Every device of the sump. */
export function deviceCases(whole: Whole, lines: readonly LineCase[]): DeviceCase[] {
  return whole.design.sump.devices.map((device, index) => {
    const { kind } = device.part
    return {
      whole,
      device,
      index,
      solved: whole.treatment.devices[index]!,
      line: lines.find(({ laid }) => laid.line.id === device.lineId),
      stop: kind === 'sterilizer' || kind === 'flow-meter' ? 'sterilizer' : 'skimmer',
      where: { deviceId: device.id, chamberId: device.chamberId },
    }
  })
}

/** A device that is a skimmer, as it runs. */
export interface SkimmerCase extends DeviceCase {
  readonly skimmer: SolvedSkimmer
}

/** A device as a skimmer; none: it is none. */
export function skimmerCases(one: DeviceCase): SkimmerCase[] {
  const { whole, device } = one
  const skimmer = whole.treatment.skimmers.find(({ deviceId }) => deviceId === device.id)
  if (!skimmer) return []
  // Written out, here and below: a spread takes many times as long, at every keystroke.
  return [
    {
      whole,
      device,
      index: one.index,
      solved: one.solved,
      line: one.line,
      stop: one.stop,
      where: one.where,
      skimmer,
    },
  ]
}

/** A device that is a sterilizer, as it runs. */
export interface SterilizerCase extends DeviceCase {
  readonly sterilizer: SolvedSterilizer
  readonly spec: SterilizerSpec
}

/** A device as a sterilizer; none: it is none. */
export function sterilizerCases(one: DeviceCase): SterilizerCase[] {
  const { whole, device } = one
  const sterilizer = whole.treatment.sterilizers.find(({ deviceId }) => deviceId === device.id)
  const spec = device.part.sterilizer
  if (!sterilizer || !spec) return []
  return [
    {
      whole,
      device,
      index: one.index,
      solved: one.solved,
      line: one.line,
      stop: one.stop,
      where: one.where,
      sterilizer,
      spec,
    },
  ]
}
