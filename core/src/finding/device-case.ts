import type { Device } from '../design/index.ts'
import type { SolvedDevice, SolvedTreatment } from '../figures/index.ts'
import { aboutStop, type Finding, type Found, type LineCase, type Solving } from './finding.ts'

/** A device with everything known of it. */
export interface DeviceCase {
  readonly solving: Solving
  readonly treatment: SolvedTreatment
  readonly device: Device
  readonly index: number
  readonly solved: SolvedDevice
  /** The line it is in; undefined: none. */
  readonly line: LineCase | undefined
}

/** A finding of a device, at the stop that it is designed at. */
export function aboutDevice({ device }: DeviceCase, found: Found): Finding {
  const lit = device.part.kind === 'sterilizer' || device.part.kind === 'flow-meter'
  const stop = lit ? 'sterilizer' : 'skimmer'
  return aboutStop(stop, found, { deviceId: device.id, chamberId: device.chamberId })
}

export const devicePath = ({ index }: DeviceCase) => ['sump', 'devices', index] as const
