import type { Finding, Station, Severity } from '../finding/index.ts'
import type { Measured } from '../quantity/index.ts'

/** What stands beside a figure to read it by. */
export type Beside =
  /** Half width of its band. */
  | { readonly is: 'band'; readonly si: number }
  /** What it is of: wanted, or the most there is. */
  | { readonly is: 'of'; readonly value: Measured }
  /** What it comes to in a year; cost null without a tariff. */
  | {
      readonly is: 'yearly'
      readonly energy: Measured
      readonly cost: Measured | null
      readonly currency: string
    }
  | { readonly is: 'words'; readonly text: string }

/** One figure a design is known by. */
export interface KeyFigure {
  readonly id: KeyFigureName
  readonly label: string
  readonly value: Measured
  readonly beside: Beside | null
  /** Where it is worked on. */
  readonly station: Station | 'drills'
  readonly state: Severity
  /** What gives it that state; null: nothing does, or a drill. */
  readonly finding: Finding | null
}

/** What the strip, the shelf and the solve command can show of a design. */
export type KeyFigureName =
  | 'netVolume'
  | 'flow'
  | 'turnover'
  | 'head'
  | 'power'
  | 'freeboard'
  | 'drain'
  | 'speed'
  | 'outage'
  | 'skimmer'
  | 'dose'
  | 'drills'

/** Words in the place of a key figure's number. */
export const keyFigureWords = (text: string): Beside => ({ is: 'words', text })
