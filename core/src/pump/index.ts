export {
  FORCED_BACK_K,
  forcedBackHeadM,
  leastSpeedToLift,
  pumpCurve,
  type PumpCurve,
  pumpHeadM,
  stoppedLossM,
  twoNumbersOf,
} from './curve.ts'
export type { CurvePoint, PumpPart } from './part.ts'
export { heatToWaterW, hydraulicPowerW, pumpPower, wirePowerW } from './power.ts'
export { leastSpeedBand, pumpSpreadM } from './spread.ts'
export { bellDepthM, inletBoreM, vortexDepthM } from './submergence.ts'
