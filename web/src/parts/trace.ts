import { curveFaults } from '@yew-basin/contract/curve'
import {
  chartAxes,
  pumpCurve,
  type AxesFault,
  type ChartAxes,
  type CurvePoint,
  type PumpPart,
  type Spot,
} from '@yew-basin/core'

import { litresAnHour } from './part-words.ts'

/** What is clicked, in this order: two places on each axis, then the curve. */
export const STEPS = ['flow 1', 'flow 2', 'head 1', 'head 2', 'curve'] as const
export type Step = (typeof STEPS)[number]

/** What has been placed so far; values in SI. */
export interface Trace {
  readonly spots: Readonly<Partial<Record<Exclude<Step, 'curve'>, Spot>>>
  readonly values: Readonly<Record<Exclude<Step, 'curve'>, number>>
  readonly curve: readonly Spot[]
}

export const START: Trace = {
  spots: {},
  values: { 'flow 1': 0, 'flow 2': litresAnHour(1000), 'head 1': 0, 'head 2': 1 },
  curve: [],
}

/** The step that comes next. */
export function nextStep({ spots }: Trace): Step {
  return STEPS.find((step) => step !== 'curve' && !spots[step]) ?? 'curve'
}

/** A click where the next thing belongs. */
export function placed(trace: Trace, spot: Spot): Trace {
  const step = nextStep(trace)
  return step === 'curve'
    ? { ...trace, curve: [...trace.curve, spot] }
    : { ...trace, spots: { ...trace.spots, [step]: spot } }
}

/** Takes the last placed thing away. */
export function unplaced(trace: Trace): Trace {
  if (trace.curve.length > 0) return { ...trace, curve: trace.curve.slice(0, -1) }
  const last = STEPS.findLast((step) => step !== 'curve' && trace.spots[step])
  if (!last) return trace
  const spots = Object.fromEntries(Object.entries(trace.spots).filter(([step]) => step !== last))
  return { ...trace, spots }
}

/** The chart's axes, when all four marks are placed; values in SI. */
export function axesOf({ spots, values }: Trace): ChartAxes | AxesFault | null {
  const at = (step: Exclude<Step, 'curve'>) => {
    const spot = spots[step]
    return spot ? { spot, value: values[step] } : null
  }
  const [f1, f2, h1, h2] = [at('flow 1'), at('flow 2'), at('head 1'), at('head 2')]
  return f1 && f2 && h1 && h2 ? chartAxes({ flow: [f1, f2], head: [h1, h2] }) : null
}

const DIGITS = 1e7

/** The curve in SI, flow rising; a hair below zero counts as zero. */
export function pointsOf(trace: Trace): CurvePoint[] {
  const axes = axesOf(trace)
  if (!axes || typeof axes === 'string') return []
  const points = trace.curve
    .map((spot) => axes.valueAt(spot))
    .map(({ flow, head }) => ({
      flowM3PerS: Math.max(0, Math.round(flow * DIGITS) / DIGITS),
      headM: Math.max(0, Math.round(head * 1e4) / 1e4),
    }))
    .sort((a, b) => a.flowM3PerS - b.flowM3PerS)
  // A click that shakes by a pixel is no rise: the curve goes on level.
  return points.map((point, i) => ({
    ...point,
    headM: Math.min(point.headM, ...points.slice(0, i).map(({ headM }) => headM)),
  }))
}

/** What is wrong with the traced curve, or nothing. */
export function traceFaults(trace: Trace): string[] {
  const points = pointsOf(trace)
  if (points.length < 2) return []
  return curveFaults({ curve: points, power: [], shutOffHeadM: null, maxFlowM3PerS: null })
}

const FITTED = 48

/** The fitted curve as it lies over the picture. */
export function fittedOver(trace: Trace, part: PumpPart): Spot[] {
  const axes = axesOf(trace)
  const points = pointsOf(trace)
  if (!axes || typeof axes === 'string' || points.length < 2 || traceFaults(trace).length > 0) {
    return []
  }
  const curve = pumpCurve({ ...part, curve: points })
  const last = points.at(-1)!.flowM3PerS
  return Array.from({ length: FITTED + 1 }, (_, i) => {
    const flow = (i / FITTED) * last
    return axes.spotOf(flow, curve.headAtFullSpeedM(flow))
  })
}
