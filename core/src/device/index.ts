export type { DeviceKind, DevicePart, NoiseClass } from './part.ts'
export { clearanceM, type Rectangle, sticksOutM, widestGapM } from './plan.ts'
