export { boreAreaM2, reynolds, speedMPerS, velocityHeadM } from './flow.ts'
export {
  beginFriction,
  FACTOR,
  FRICTION_ROOM,
  frictionAside,
  frictionAt,
  frictionFactor,
  LAMINAR_UP_TO_RE,
  type Regime,
  regimeAt,
  SLOPE,
} from './friction.ts'
export { hazenWilliamsMPerM } from './hazen-williams.ts'
export { isHose, PIPE_SERIES, type PipeSeries, SERIES_SIZES, seriesWords } from './series.ts'
export {
  AGED_ROUGHNESS_M,
  boreOf,
  measureOf,
  nearestSize,
  NEW_ROUGHNESS_M,
  nextSizeDown,
  nextSizeUp,
  type PipeSize,
  RIBBED_FACTOR,
  sameSize,
  seriesSize,
  sizesIn,
  sizeWords,
} from './size.ts'
