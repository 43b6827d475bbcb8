export { type OpenPipe, openPipeRiseM, ruledBy, type RuledBy } from './emergency.ts'
export {
  canRunFull,
  type EmergencyAnswer,
  emergencyAnswer,
  type EmergencyFault,
  emergencyFaults,
  type EmergencyPipe,
  PRIMES_FROM_BORES,
} from './emergency-verdict.ts'
export { type Fall, fallFlow, fallHeadM, FallSearch, inSeries, makeFall } from './fall.ts'
export { fallBand, fallSpreadM } from './fall-band.ts'
export { primeVerdict, type PrimeVerdict, tubeFroude } from './hung.ts'
export { type Matching, matchValve } from './match.ts'
export {
  FILLED,
  filledShareOf,
  halfFullFlow,
  LEAST_SLOPE,
  noiseBand,
  type NoiseBand,
  ventedFlow,
} from './vented.ts'
export { type Restart, restartOf, type Restarts } from './siphon-start.ts'
