import type { DeviceCase } from '../case/device-case.ts'

/** What its maker wants, and the flow that is outside it; null: it is within, or not known. */
export function outOfWindow({ device, solved }: DeviceCase) {
  const { window } = device.part
  const { flowM3PerS, window: state } = solved
  return !window || flowM3PerS === null || state === null || state === 'within'
    ? null
    : { window, flowM3PerS, below: state === 'below' }
}
