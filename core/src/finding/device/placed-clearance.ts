import type { DeviceClearance } from '../../figures/index.ts'
import type { DeviceCase } from '../case/device-case.ts'

/** The room round a device; null: it is not known, or it is in no place yet. */
export function placedClearance({ device, solved }: DeviceCase): DeviceClearance | null {
  // A skimmer that is in no chamber yet has no place to be judged.
  return device.part.skimmer && device.chamberId === null ? null : solved.clearance
}
