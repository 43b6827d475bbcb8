import type { BasinDesign } from '../../design/index.ts'
import type { Judged } from '../../judge/index.ts'
import type { Layout } from '../../layout/index.ts'
import type { SteadyState } from '../../loop/index.ts'
import type { Case } from '../rule.ts'

/** What findings are made from: a steady state with its figures, judged. */
export interface Whole extends Judged, Case {
  readonly steady: SteadyState
  /** With its water where it runs. */
  readonly design: BasinDesign
  readonly layout: Layout
  /** Asked as it is built, too. */
  readonly isBuilt: boolean
}

/** All that rules are asked about. */
export function wholeOf(steady: SteadyState, judged: Judged, isBuilt = false): Whole {
  // Written out: copying all of it by its spread takes many times as long, at every keystroke.
  return {
    tanks: judged.tanks,
    water: judged.water,
    totals: judged.totals,
    overflows: judged.overflows,
    drains: judged.drains,
    sump: judged.sump,
    loop: judged.loop,
    returnSide: judged.returnSide,
    treatment: judged.treatment,
    heat: judged.heat,
    power: judged.power,
    rulesOfThumb: judged.rulesOfThumb,
    steady,
    design: steady.design,
    layout: steady.layout,
    where: {},
    isBuilt,
  }
}
