import {
  type Figures,
  type RunningOverflow,
  type RunningSump,
  solveSump,
  flowShareOf,
} from '../figures/index.ts'
import type { SteadyState } from '../loop/index.ts'
import { flatMap } from '../numeric/index.ts'
import { type BlockedRow, blockedRows } from './blocked.ts'
import { outageOf, type SolvedOutage } from './outage.ts'
import { type RunsOver, runsOverOf } from './runs-over.ts'

/** A tank's overflow as it runs, and what a blocked pipe does to it. */
export interface SolvedOverflow extends RunningOverflow {
  readonly blocked: readonly BlockedRow[]
  /** What the water can't pass where it runs over now; null: it does not. */
  readonly runsOver: RunsOver | null
}

/** The sump as it runs, and what a power cut does to it. */
export interface SolvedSump extends RunningSump {
  /** null: the sump has no sizes. */
  readonly outage: SolvedOutage | null
}

/** Every figure of a steady state, SI, with the answers to what may go wrong. */
export interface Judged {
  /** In the design's order. */
  readonly tanks: Figures['tanks']
  readonly water: Figures['water']
  readonly totals: Figures['totals']
  /** Of the tanks that have one, in the design's order. */
  readonly overflows: readonly SolvedOverflow[]
  readonly drains: Figures['drains']
  readonly sump: SolvedSump
  readonly loop: Figures['loop']
  readonly returnSide: Figures['returnSide']
  readonly treatment: Figures['treatment']
  readonly heat: Figures['heat']
  readonly power: Figures['power']
  /** Of the line the design is known by. */
  readonly rulesOfThumb: Figures['rulesOfThumb']
}

/** Judges a steady state: what comes down, and what a blocked pipe does. */
export function judged(steady: SteadyState, figures: Figures): Judged {
  const { overflows, sump } = figures
  return {
    tanks: figures.tanks,
    water: figures.water,
    totals: figures.totals,
    drains: figures.drains,
    loop: figures.loop,
    returnSide: figures.returnSide,
    treatment: figures.treatment,
    heat: figures.heat,
    power: figures.power,
    rulesOfThumb: figures.rulesOfThumb,
    overflows: overflows.map((overflow) =>
      withBlocked(overflow, blockedOf(steady, overflow, figures), overNow(steady, overflow)),
    ),
    sump: judgedSump(steady, sump, (tankId) => shareInto(figures, tankId)),
  }
}

/** The sump of a steady state, judged. */
export function judgedSump(
  steady: SteadyState,
  sump = solveSump(steady),
  shareOf: (tankId: string) => number = () => 0,
): SolvedSump {
  const { returnChamberId, chambers, volumeM3, waterUse } = sump
  return { returnChamberId, chambers, volumeM3, waterUse, outage: outageOf(steady, shareOf) }
}

/** Written out: a spread that adds a field takes many times as long, at every keystroke. */
function withBlocked(
  of: RunningOverflow,
  blocked: readonly BlockedRow[],
  runsOver: RunsOver | null,
): SolvedOverflow {
  return {
    tankId: of.tankId,
    flowM3PerS: of.flowM3PerS,
    crestM: of.crestM,
    headM: of.headM,
    headBandM: of.headBandM,
    surfaceM: of.surfaceM,
    surfaceBandM: of.surfaceBandM,
    innerM: of.innerM,
    boxM: of.boxM,
    boxBandM: of.boxBandM,
    boxRimM: of.boxRimM,
    spills: of.spills,
    belowMeasured: of.belowMeasured,
    overTeethM: of.overTeethM,
    teethDrownM3PerS: of.teethDrownM3PerS,
    tankSpillsM3PerS: of.tankSpillsM3PerS,
    passageHeadM: of.passageHeadM,
    froude: of.froude,
    prime: of.prime,
    keepsIn: of.keepsIn,
    leastOpeningM: of.leastOpeningM,
    blocked,
    runsOver,
  }
}

/** Share by which the flow into a tank may be off. */
function shareInto({ tanks }: Pick<Figures, 'tanks'>, tankId: string): number {
  return flowShareOf(tanks.find((tank) => tank.tankId === tankId)!)
}

function blockedOf(
  steady: SteadyState,
  { tankId, flowM3PerS }: RunningOverflow,
  { tanks, drains }: Pick<Figures, 'tanks' | 'drains'>,
): BlockedRow[] {
  const at = steady.design.tanks.findIndex(({ id }) => id === tankId)
  return blockedRows(steady, steady.overflows[at]!, steady.tankLevels[at]!, {
    flowM3PerS,
    flowBandM3PerS: tanks[at]!.flowBandM3PerS,
    drains,
  })
}

function overNow(steady: SteadyState, overflow: RunningOverflow): RunsOver | null {
  const at = steady.design.tanks.findIndex(({ id }) => id === overflow.tankId)
  return runsOverOf(steady, steady.overflows[at]!, steady.tankLevels[at]!, overflow)
}

/** The worst single blocked pipe: the one that leaves least to a rim, by the margin that counts; null: no drain is given. */
export function worstBlocked(overflows: readonly SolvedOverflow[]): BlockedRow | null {
  const rows = flatMap(overflows, ({ blocked }) =>
    blocked.filter(({ drainIds }) => drainIds.length === 1),
  )
  return rows.reduce<BlockedRow | null>(
    (worst, row) => (worst && (worst.leftM ?? 0) <= (row.leftM ?? 0) ? worst : row),
    null,
  )
}
