import type { Device } from '../../design/index.ts'
import type { DeviceClearance } from '../../figures/index.ts'
import { memoizeWith } from '../../numeric/index.ts'
import type { LineAsDrawn } from './line-as-drawn.ts'

/** A device, the room round it and the line it is in, as they are drawn. */
export interface DeviceAsDrawn {
  readonly device: Device
  /** Every device of the sump. */
  readonly devices: readonly Device[]
  /** null: it is not known, or it is in no place yet. */
  readonly clearance: DeviceClearance | null
  readonly line: LineAsDrawn | undefined
}

/** The same object for as long as none of it is drawn anew. */
export const deviceAsDrawn: (device: Device, drawn: DeviceAsDrawn) => DeviceAsDrawn = memoizeWith(
  (_: Device, drawn: DeviceAsDrawn): DeviceAsDrawn => drawn,
  (before, now) =>
    before.clearance === now.clearance &&
    before.line === now.line &&
    before.devices === now.devices,
)
