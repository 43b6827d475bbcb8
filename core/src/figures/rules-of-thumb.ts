import { type Layout, type PathPart, pathTo, pumpOf } from '../layout/index.ts'
import { flowAtHead } from '../network/index.ts'
import { flatMap, memoize } from '../numeric/index.ts'
import { boreAreaM2, hazenWilliamsMPerM } from '../pipe/index.ts'
import type { Piece } from '../run/index.ts'
import type { SolvedLine } from './return/solved.ts'

/** A keeper's rule and how far it is from the computed answer: (rule − computed)/computed; null where the answer is zero. */
export interface RuleOfThumb<Answer> {
  readonly answer: Answer
  readonly offBy: number | null
}

/** What keepers quote, beside what is computed (hydraulics reference, §13). */
export interface RulesOfThumb {
  /** Rated flow × a fixed share. */
  readonly deratedFlowM3PerS: RuleOfThumb<number>
  /** Lift + 1 ft a 90° elbow + ½ ft a 45° + 1 ft per 10 ft of level run. */
  readonly countedHeadM: RuleOfThumb<number>
  /** The pump's curve at that head. */
  readonly countedFlowM3PerS: RuleOfThumb<number>
  /** The counted feet for elbows alone, against all fittings. */
  readonly countedElbowsM: RuleOfThumb<number>
  /** Hazen–Williams, C = 150, over the same pipe. */
  readonly hazenWilliamsFrictionM: RuleOfThumb<number>
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

/** The rules for one line, against what is computed for it. */
export function rulesOfThumb(
  layout: Layout,
  solved: SolvedLine,
  turnoverPerH: number | null,
): RulesOfThumb {
  const index = layout.lines.findIndex(({ line }) => line.id === solved.lineId)
  const { curve } = pumpOf(layout, index)
  const { elbowsM, levelM } = countedOn(pathTo(layout, index))
  const headM = solved.liftM + elbowsM + LEVEL_RUN_SHARE * levelM
  const crossM = solved.stretches.reduce(
    (total, { boreM, speedMPerS, lengthM }) =>
      total + hazenWilliamsMPerM(speedMPerS * boreAreaM2(boreM), boreM) * lengthM,
    0,
  )
  const flow = solved.pump.flowM3PerS
  return {
    deratedFlowM3PerS: rule(DERATED_SHARE * curve.freeFlowM3PerS, flow),
    countedHeadM: rule(headM, solved.pump.headM),
    countedFlowM3PerS: rule(flowAtHead(curve, solved.pump.speed, headM), flow),
    countedElbowsM: rule(elbowsM, solved.fittingsM),
    hazenWilliamsFrictionM: rule(crossM, solved.frictionM),
    turnoverRangePerH: turnoverRange(turnoverPerH),
  }
}

/** What is counted on a way; no level moves it, so it is counted once. */
const countedOn = memoize((path: readonly PathPart[]) => {
  const way = flatMap(path, ({ pieces }) => pieces)
  return { elbowsM: countedElbowsM(way), levelM: levelRunM(way) }
})

function rule(answer: number, computed: number): RuleOfThumb<number> {
  return { answer, offBy: computed > 0 ? (answer - computed) / computed : null }
}

function countedElbowsM(way: readonly Piece[]): number {
  return way.reduce((total, piece) => {
    if (piece.kind !== 'elbow') return total
    return total + (piece.form === 'standard-45' ? FOOT_M / 2 : FOOT_M)
  }, 0)
}

function levelRunM(way: readonly Piece[]): number {
  return way.reduce((total, piece) => {
    const level = piece.kind === 'pipe' && piece.direction !== 'up' && piece.direction !== 'down'
    return total + (level ? piece.lengthM : 0)
  }, 0)
}

function turnoverRange(turnoverPerH: number | null): readonly [number, number] | null {
  if (turnoverPerH === null) return null
  return TURNOVER_RANGES.find(([from, to]) => turnoverPerH >= from && turnoverPerH < to) ?? null
}
