export { type OpenPipe, openPipeRiseM, ruledBy, type RuledBy } from './emergency.ts'
export {
  canRunFull,
  DEEP_END_BORES,
  type EmergencyAnswer,
  emergencyAnswer,
  type EmergencyFault,
  emergencyFaults,
  type EmergencyPipe,
  PRIMES_FROM_BORES,
} from './emergency-verdict.ts'
export { type Fall, fallFlow, fallHeadM, FallSearch, inSeries, makeFall } from './fall.ts'
export { fallBand, fallSpreadM } from './fall-band.ts'
export {
  AIR_SWEPT_FROUDE,
  boreAtFroude,
  primeVerdict,
  type PrimeVerdict,
  tubeFroude,
} from './hung.ts'
export { type Matching, matchValve } from './match.ts'
export {
  FILLED,
  filledShareOf,
  halfFullFlow,
  isFilledToMost,
  LEAST_SLOPE,
  noiseBand,
  type NoiseBand,
  ventedFlow,
} from './vented.ts'
export {
  endMayBeUnderM,
  PRIMES_FROUDE,
  type Restart,
  restartByEnd,
  restartOf,
  type Restarts,
  UnprimedSearch,
} from './siphon-start.ts'
