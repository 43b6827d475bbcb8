import type { LineCase } from './line-case.ts'

/** A line that begins at a pump, with all that the pump feeds. */
export interface PumpCase extends LineCase {
  /** Every line of the design whose water comes from this pump. */
  readonly feeds: readonly LineCase[]
}

/** Every pump that feeds a line. */
export function pumpCases(lines: readonly LineCase[]): PumpCase[] {
  // Written out: a spread takes many times as long, at every keystroke.
  return lines
    .filter(({ laid }) => laid.line.start.at === 'pump')
    .map(({ whole, design, laid, solved, pump, drawing, where }) => ({
      whole,
      design,
      laid,
      solved,
      pump,
      drawing,
      where,
      feeds: lines.filter((line) => line.pump === pump),
    }))
}
