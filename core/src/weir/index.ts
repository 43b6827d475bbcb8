export { circularRimFlow, circularRimHeadM, orificeFlow, orificeHeadM } from './inlet.ts'
export {
  flowOver,
  type Guard,
  headOver,
  type Rim,
  rimFlow,
  rimHeadM,
  type RimLaw,
  rimLaw,
  type Teeth,
} from './rim.ts'
export { LEAST_MEASURED_HEAD_M, smoothRim } from './smooth.ts'
export { OPEN_PIPE_SPREAD, rimHeadSpreadM, rimSpread } from './spread.ts'
