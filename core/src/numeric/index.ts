export { brent } from './brent.ts'
export {
  type AxesFault,
  type AxisMark,
  type AxisMarks,
  chartAxes,
  type ChartAxes,
  type Spot,
} from './chart-axes.ts'
export { factorDense, solveFactored } from './dense.ts'
export { type Envelope, makeEnvelope, solveEnvelope } from './envelope.ts'
export { gather } from './gather.ts'
export { cubicHermite, cubicHermiteSlope } from './hermite.ts'
export { kept, keptBeside, keptLast } from './kept.ts'
export { type Outcome, settled, type Settled } from './outcome.ts'
export { evaluatePchip, makePchip, type Pchip, pchipSlope } from './pchip.ts'
export { risingRoot, type ValueSlope } from './rising-root.ts'
