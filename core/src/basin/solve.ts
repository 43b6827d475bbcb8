import type { BasinDesign } from '../design/index.ts'
import { figuresOf } from '../figures/index.ts'
import { findingsOf, wholeOf } from '../finding/index.ts'
import { judged } from '../judge/index.ts'
import { steadyState } from '../loop/index.ts'
import type { SolvedBasin } from './solved-basin.ts'

/**
 * Every figure and finding of a design, from one steady state. Pure: the same design gives the
 * same answer on the screen, in the command line and in a test.
 */
export function solveBasin(given: BasinDesign): SolvedBasin {
  const steady = steadyState(given)
  const all = judged(steady, figuresOf(steady))
  // Written out: a spread that adds a field takes many times as long, at every keystroke.
  return {
    tanks: all.tanks,
    water: all.water,
    totals: all.totals,
    overflows: all.overflows,
    drains: all.drains,
    sump: all.sump,
    loop: all.loop,
    returnSide: all.returnSide,
    treatment: all.treatment,
    heat: all.heat,
    power: all.power,
    rulesOfThumb: all.rulesOfThumb,
    findings: findingsOf(wholeOf(steady, all)),
  }
}
