import { LEAST_MEASURED_HEAD_M } from './smooth.ts'

/** How well a rim's flow is known at a head: below what was measured, and above (choices). */
const LOW = 0.15
const MEASURED = 0.05
/** A rim's flow goes with the head to the power of 3/2. */
const OF_HEAD = 2 / 3
/** How well an open mouth's or a vented pipe's flow is known (choice). */
export const OPEN_PIPE_SPREAD = 0.15

/** Two standard deviations of a rim's flow at a head, as a share of it. */
export function rimSpread(headM: number): number {
  return headM < LEAST_MEASURED_HEAD_M ? LOW : MEASURED
}

/** How far the head over a rim may be off for a flow that is known, m. */
export function rimHeadSpreadM(headM: number): number {
  return OF_HEAD * rimSpread(headM) * Math.max(0, headM)
}
