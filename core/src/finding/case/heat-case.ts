import type { HeatPlan } from '../../design/index.ts'
import type { SolvedHeat } from '../../figures/index.ts'
import type { Case } from '../rule.ts'
import type { Whole } from './whole.ts'

/** A design whose room is set, and how warm its water stays there. */
export interface HeatCase extends Case {
  readonly whole: Whole
  readonly plan: HeatPlan
  readonly heat: SolvedHeat
}

/** The warmth of a design; none: its room is not set. */
export function heatCases(whole: Whole): HeatCase[] {
  const plan = whole.design.heat
  return plan && whole.heat ? [{ whole, plan, heat: whole.heat, where: {} }] : []
}

/** What the heaters have to do at the coldest, as a sentence needs it. */
export function heaterValues({ whole, heat }: HeatCase) {
  const { coldest } = heat
  return {
    water: ['temperature', whole.design.water.temperatureC],
    room: ['temperature', coldest.roomC],
    wanted: ['power', coldest.wantedW, coldest.wantedBandW],
    there: ['power', heat.heatersW],
    each: ['power', coldest.eachOfTwoW ?? 0, coldest.wantedBandW],
  } as const
}
