import { flowAtHead } from '../network/speed.ts'
import { hazenWilliamsMPerM } from '../pipe/hazen-williams.ts'
import type { Layout } from './layout.ts'
import type { SolvedReturn } from './solved.ts'

/** A keeper's rule and how far it is from the computed answer: (rule − computed)/computed; null where the answer is nil. */
export interface Rule<Answer> {
  readonly answer: Answer
  readonly offBy: number | null
}

/** What keepers quote, beside what is computed (hydraulics reference, §13). */
export interface RulesOfThumb {
  /** Rated flow × a fixed share. */
  readonly deratedFlowM3PerS: Rule<number>
  /** Lift + 1 ft a 90° elbow + ½ ft a 45° + 1 ft per 10 ft of level run. */
  readonly countedHeadM: Rule<number>
  /** The pump's curve at that head. */
  readonly countedFlowM3PerS: Rule<number>
  /** The counted feet for elbows alone, against all fittings. */
  readonly countedElbowsM: Rule<number>
  /** Hazen–Williams, C = 150, over the same pipe. */
  readonly hazenWilliamsFrictionM: Rule<number>
  /** The quoted turnover range the answer lies in, per hour; null outside all of them. */
  readonly turnoverRangePerH: readonly [number, number] | null
}

/** Share of the printed flow that is left "after plumbing", as keepers quote it (choice). */
export const DERATED_SHARE = 0.7
const FOOT_M = 0.3048
const LEVEL_RUN_SHARE = 0.1
/** Tank volumes an hour: low, moderate, usual, high. */
const TURNOVER_RANGES = [
  [3, 5],
  [5, 7],
  [7, 10],
  [10, 12],
] as const

type Flowing = Omit<SolvedReturn, 'pieces'>

export function rulesOfThumb(layout: Layout, solved: Flowing): RulesOfThumb {
  const { curve, problem } = layout
  const elbowsM = countedElbowsM(layout)
  const headM = layout.liftM + elbowsM + LEVEL_RUN_SHARE * levelRunM(layout)
  const crossM = solved.stretches.reduce(
    (total, stretch) =>
      total + hazenWilliamsMPerM(Math.abs(solved.flowM3PerS), stretch.boreM) * stretch.lengthM,
    0,
  )
  return {
    deratedFlowM3PerS: rule(DERATED_SHARE * curve.freeFlowM3PerS, solved.flowM3PerS),
    countedHeadM: rule(headM, solved.headM),
    countedFlowM3PerS: rule(flowAtHead(curve, problem.speed, headM), solved.flowM3PerS),
    countedElbowsM: rule(elbowsM, solved.fittingsM),
    hazenWilliamsFrictionM: rule(crossM, solved.frictionM),
    turnoverRangePerH: turnoverRange(solved.turnoverPerH),
  }
}

function rule(answer: number, computed: number): Rule<number> {
  return { answer, offBy: computed > 0 ? (answer - computed) / computed : null }
}

function countedElbowsM({ placed }: Layout): number {
  return placed.reduce((total, { piece }) => {
    if (piece.kind !== 'elbow') return total
    return total + (piece.form === 'standard-45' ? FOOT_M / 2 : FOOT_M)
  }, 0)
}

function levelRunM({ placed }: Layout): number {
  return placed.reduce((total, { piece }) => {
    const level = piece.kind === 'pipe' && piece.direction !== 'up' && piece.direction !== 'down'
    return total + (level ? piece.lengthM : 0)
  }, 0)
}

function turnoverRange(turnoverPerH: number | null): readonly [number, number] | null {
  if (turnoverPerH === null) return null
  return TURNOVER_RANGES.find(([from, to]) => turnoverPerH >= from && turnoverPerH < to) ?? null
}
