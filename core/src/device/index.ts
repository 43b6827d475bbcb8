export { comesOutUpright, type DeviceKind, type DevicePart, type NoiseClass } from './part.ts'
export { clearanceM, type Rectangle, sticksOutM, widestGapM } from './plan.ts'
