export { type Bulkhead, BULKHEADS } from './bulkhead.ts'
export { type CutLength, cutLength, hoseCutM, roomFor, rowM } from './cut-length.ts'
export { constantLoss, kAt, type Loss } from './loss.ts'
export { makerLoss } from './maker.ts'
export { entranceLoss, EXIT_LOSS, strainerLoss, UNION_LOSS } from './opening.ts'
export {
  FRICTION_SPREAD,
  type LossKind,
  RIBBED_SPREAD,
  SPREAD,
  SPREAD_KINDS,
  type SpreadKind,
  TEE_LEAST_SPREAD,
  TEE_SPREAD,
} from './spread.ts'
export {
  outsideOf,
  type OwnTakeOff,
  socketDepthM,
  spigotReachM,
  systemOf,
  type TakeOffKind,
  takeOffOf,
} from './take-off.ts'
export { teeAt, type TeeAt, teeRoom } from './tee.ts'
export {
  BRANCH,
  HARDLY_RUNS,
  PAST_DRY_BRANCH,
  TEE_LEGS,
  type TeeLaw,
  teeLaw,
  type TeeLeg,
  TURNING_RE,
} from './tee-law.ts'
export { type ThreeKFitting, threeKLoss } from './three-k.ts'
export { transitionBoreM, transitionLoss } from './transition.ts'
export { closingRise, openingOfRise, type ThrottleValve, valveLoss } from './valve.ts'
