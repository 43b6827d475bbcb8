export { ageing, chamberVolumeM3, doseFlow, meanIrradianceWPerM2, residenceS } from './dose.ts'
export { halfLifeS, killPerPass, removalPerS } from './kill.ts'
export type { LampState, SterilizerSpec } from './part.ts'
export { type DoseTarget, QUOTED_TARGETS } from './targets.ts'
