import type { BasinDesign, Edit } from '../design/index.ts'
import type { PipeSize } from '../pipe/index.ts'
import type { PumpPart } from '../pump/index.ts'

/** How much the keeper cares, 0 not at all to 3 very much. */
export interface Values {
  readonly quiet: number
  readonly power: number
  readonly price: number
  readonly reserve: number
  readonly fewSizes: number
}

/** What is to be sized, and what the keeper values. */
export interface SizingWish {
  readonly design: BasinDesign
  readonly pumpIndex: number
  /** Into each tank, by its id. */
  readonly wantedByTank: Readonly<Record<string, number>>
  readonly shelf: readonly PumpPart[]
  readonly values: Values
}

/** One design that was tried, before it is judged. */
export interface SizedOption {
  readonly part: PumpPart
  readonly speed: number
  readonly size: PipeSize
  readonly nozzles: 1 | 2
  readonly opening: number
  /** Flow over wanted flow of the tank or the takeoff that is worst off. */
  readonly met: number
  /** Into all tanks. */
  readonly flowM3PerS: number
  readonly wirePowerW: number
  /** In the widest of the lines to the tanks. */
  readonly fastestMPerS: number
  /** Flow at full speed, fouled, over the wanted flow. */
  readonly reserve: number
  /** Flow at full speed with its valve wide open, over the wanted flow. */
  readonly spare: number
  /** What its power counts as when options are ranked, W; no figure that is shown. */
  readonly rankedPowerW: number
  readonly sizes: number
  readonly edits: readonly Edit[]
}
