import type { BasinDesign, DisplayTank } from '../design/index.ts'
import type { RulesOfThumb, SolvedLine, SolvedTank, SolvedWater } from '../figures/index.ts'
import type { PumpPart } from '../pump/index.ts'
import {
  measured,
  type Measured,
  type QuantityName,
  sentence,
  type Sentence,
} from '../quantity/index.ts'

/** One symbol of a formula and the value in it. */
export interface Term {
  readonly symbol: string
  readonly meaning: string
  readonly value: Measured
}

/** A rule of thumb set beside the computed answer. */
export interface RuleBeside {
  readonly rule: Sentence
  /** (rule − computed)/computed; null where there is nothing to compare with. */
  readonly offBy: number | null
}

/** How a figure came about. */
export interface Working {
  readonly title: string
  readonly answer: Measured
  /** Half width of its band; null where the figure is exact in its inputs. */
  readonly band: Measured | null
  readonly formula: string
  /** The formula with the keeper's values in it. */
  readonly filled: Sentence
  readonly terms: readonly Term[]
  readonly source: string
  /** What limits it, in a sentence; empty where nothing does. */
  readonly note: Sentence
  readonly rules: readonly RuleBeside[]
}

/** What a working is made from: one tank and one line of the design. */
export interface Worked {
  readonly design: BasinDesign
  readonly water: SolvedWater
  readonly tank: DisplayTank
  readonly solvedTank: SolvedTank
  readonly line: SolvedLine
  /** The pump the line's water comes from. */
  readonly part: PumpPart
  /** Level of the water that pump draws from. */
  readonly sourceLevelM: number
  readonly rules: RulesOfThumb
}

/** Nothing to add. */
export const NO_NOTE: Sentence = sentence('')

/** One symbol of a formula, with its meaning and SI value. */
export function term(symbol: string, meaning: string, quantity: QuantityName, si: number): Term {
  return { symbol, meaning, value: measured(quantity, si) }
}

/** Where the band of a solved figure comes from. */
export const BAND_SOURCE =
  'Band: each piece and pump by itself, by kind and together, through what a little more loss there does to this flow; two standard deviations.'
