export {
  FORCED_BACK_K,
  forcedBackHeadM,
  leastSpeedToLift,
  pumpCurve,
  type PumpCurve,
  pumpHeadM,
  stoppedLossM,
} from './curve.ts'
export type { CurvePoint, PumpPart } from './part.ts'
export { heatToWaterW, hydraulicPowerW, pumpPower, wirePowerW } from './power.ts'
export { leastDepthM } from './submergence.ts'
